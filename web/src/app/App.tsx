import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react'
import { Link, Route, Switch, useLocation } from 'wouter'
import { Refused } from '../api/client'
import { useKitchen } from '../api/hooks'
import { useOffer } from '../api/undo'
import { copy } from '../copy'
import { Boundary } from '../ui/Boundary'
import { late } from '../ui/late'
import { Tray } from '../ui/Tray'
import { Bench, LastDrink } from '../views/bench/Bench'
import { Header } from './Header'
import { useViewKeys } from './keys'
import { useZone } from './useZone'
import {
  BatchView,
  Card,
  Cook,
  DrinkHistory,
  Drinks,
  Labels,
  Notes,
  Pantry,
  PlanView,
  SettingsView,
  Shelf,
  ShoppingList,
  Start,
  Week,
  Welcome,
} from './views'
import { Waiting } from './Waiting'

/** What rings comes once the view is there. */
const useRinging = late(() => import('./Alarm'))

const SignIn = lazy(() => import('./SignIn').then((m) => ({ default: m.SignIn })))
const SignedOut = lazy(() => import('./SignIn').then((m) => ({ default: m.SignedOut })))
const KeysDialog = lazy(() => import('./KeysDialog').then((m) => ({ default: m.KeysDialog })))
const UndoToast = lazy(() => import('./UndoToast').then((m) => ({ default: m.UndoToast })))

/** view is a view that takes nothing with it where something in it goes wrong. */
const view = (name: string, children: ReactNode) => (
  <Boundary key={name} name={name}>
    <Titled name={name}>{children}</Titled>
  </Boundary>
)

/** Titled names the view in the browser's own list of pages, and is where a skip past the header leads. */
function Titled({ name, children }: { name: string; children: ReactNode }) {
  useEffect(() => {
    document.title = `${name} · ${copy.app.plushLadle}`
  }, [name])
  return (
    <div id="view" tabIndex={-1} className="outline-none">
      {children}
    </div>
  )
}

/** NoSuchPage says that an address leads nowhere, and where one might have wanted to go. */
function NoSuchPage() {
  return (
    <main className="pt-6">
      <Tray className="grid max-w-xl justify-items-start gap-2">
        <h1 className="text-2xl">{copy.app.noSuchPage}</h1>
        <p>{copy.app.checkTheAddress}</p>
        <Link href="/" className="font-bold text-rim underline">
          {copy.app.goToTheBench}
        </Link>
      </Tray>
    </main>
  )
}

/** useTheme puts the kitchen's theme on the page, following the system where it says so. */
function useTheme(theme: string | undefined) {
  useEffect(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)')
    const apply = () => {
      const night = theme === 'night' || (theme !== 'day' && dark.matches)
      document.documentElement.dataset.theme = night ? 'night' : 'day'
    }
    apply()
    dark.addEventListener('change', apply)
    return () => dark.removeEventListener('change', apply)
  }, [theme])
}

/** useLocked tells whether this device has to sign in. While it is asked for again that stays as it was, so that the form keeps what was typed. */
function useLocked(status: 'pending' | 'error' | 'success', error: unknown) {
  const [locked, setLocked] = useState(false)
  useEffect(() => {
    if (status === 'success') setLocked(false)
    if (status === 'error') setLocked(error instanceof Refused && error.status === 401)
  }, [status, error])
  return locked
}

/** useHasOffered is whether something could be taken back since the page was opened: until then nothing is fetched for it. */
function useHasOffered() {
  const offer = useOffer()
  const [has, setHas] = useState(false)
  if (offer && !has) setHas(true)
  return has
}

export function App() {
  const kitchen = useKitchen()
  const [keysShown, showKeys] = useState(false)
  const hasOffered = useHasOffered()
  const ringing = useRinging()
  const [at] = useLocation()
  const isCooking = at.startsWith('/cook')
  useTheme(kitchen.data?.theme)
  useZone(kitchen.data && (kitchen.data.timeZone ?? ''))
  useViewKeys(() => showKeys(true))
  const isLocked = useLocked(kitchen.status, kitchen.error)
  if (isLocked && !kitchen.data) {
    return (
      <Suspense>
        <SignIn />
      </Suspense>
    )
  }
  return (
    <div className="mx-auto flex min-h-dvh max-w-[1280px] flex-col px-3 pb-4 max-sm:pb-20 sm:px-7 print:m-0 print:block print:min-h-0 print:max-w-none print:p-0">
      <a href="#view" className="skip-link print:hidden">
        {copy.app.skipToTheView}
      </a>
      {!isCooking && <Header onShowKeys={() => showKeys(true)} />}
      {ringing && <ringing.Alarm />}
      <Waiting />
      <Switch>
        <Route path="/">{view(copy.app.bench, <LastDrink />)}</Route>
        <Route path="/bench/:id">{({ id }) => view(copy.app.bench, <Bench key={id} id={Number(id)} />)}</Route>
        <Route path="/bench/:id/card">{({ id }) => view(copy.app.recipeCard, <Card id={Number(id)} />)}</Route>
        <Route path="/plan/shopping">{view(copy.app.shoppingList, <ShoppingList />)}</Route>
        <Route path="/plan">{view(copy.app.plan, <PlanView />)}</Route>
        <Route path="/cook/:id?">{({ id }) => view(copy.app.cook, <Cook id={id ? Number(id) : undefined} />)}</Route>
        <Route path="/shelf/:id?">{({ id }) => view(copy.app.shelf, <Shelf id={id ? Number(id) : undefined} />)}</Route>
        <Route path="/notes">{view(copy.app.notes, <Notes />)}</Route>
        <Route path="/notes/week">{view(copy.app.week, <Week />)}</Route>
        <Route path="/notes/batch/:id">
          {({ id }) => view(copy.app.notes, <BatchView key={id} id={Number(id)} />)}
        </Route>
        <Route path="/notes/drink/:id">
          {({ id }) => view(copy.app.notes, <DrinkHistory key={id} id={Number(id)} />)}
        </Route>
        <Route path="/labels">{view(copy.app.labels, <Labels />)}</Route>
        <Route path="/pantry">{view(copy.app.pantry, <Pantry />)}</Route>
        <Route path="/settings">{view(copy.app.settings, <SettingsView />)}</Route>
        <Route path="/drinks">{view(copy.app.drinks, <Drinks />)}</Route>
        <Route path="/welcome">{view(copy.app.welcome, <Welcome />)}</Route>
        <Route path="/start">{view(copy.app.start, <Start />)}</Route>
        <Route>{view(copy.app.noSuchPage, <NoSuchPage />)}</Route>
      </Switch>
      <Suspense>
        {hasOffered && <UndoToast />}
        {keysShown && <KeysDialog onClose={() => showKeys(false)} />}
        {isLocked && <SignedOut />}
      </Suspense>
    </div>
  )
}
