import { lazy } from 'react'

/** The views that are fetched when they are first shown, or a while before. */
const fetched = {
  ShoppingList: () => import('../views/plan/ShoppingList').then((m) => ({ default: m.ShoppingList })),
  Start: () => import('../views/start/Start').then((m) => ({ default: m.Start })),
  Pantry: () => import('../views/pantry/Pantry').then((m) => ({ default: m.Pantry })),
  PlanView: () => import('../views/plan/Plan').then((m) => ({ default: m.PlanView })),
  Shelf: () => import('../views/shelf/Shelf').then((m) => ({ default: m.Shelf })),
  Cook: () => import('../views/cook/Cook').then((m) => ({ default: m.Cook })),
  SettingsView: () => import('../views/settings/Settings').then((m) => ({ default: m.SettingsView })),
  Notes: () => import('../views/notes/Notes').then((m) => ({ default: m.Notes })),
  Week: () => import('../views/notes/Week').then((m) => ({ default: m.Week })),
  BatchView: () => import('../views/notes/BatchView').then((m) => ({ default: m.BatchView })),
  DrinkHistory: () => import('../views/notes/DrinkHistory').then((m) => ({ default: m.DrinkHistory })),
  Drinks: () => import('../views/drinks/Drinks').then((m) => ({ default: m.Drinks })),
  Welcome: () => import('../views/welcome/Welcome').then((m) => ({ default: m.Welcome })),
  Labels: () => import('../views/shelf/Labels').then((m) => ({ default: m.Labels })),
  Card: () => import('../views/bench/Card').then((m) => ({ default: m.Card })),
}

export const ShoppingList = lazy(fetched.ShoppingList)
export const Start = lazy(fetched.Start)
export const Pantry = lazy(fetched.Pantry)
export const PlanView = lazy(fetched.PlanView)
export const Shelf = lazy(fetched.Shelf)
export const Cook = lazy(fetched.Cook)
export const SettingsView = lazy(fetched.SettingsView)
export const Notes = lazy(fetched.Notes)
export const Week = lazy(fetched.Week)
export const BatchView = lazy(fetched.BatchView)
export const DrinkHistory = lazy(fetched.DrinkHistory)
export const Drinks = lazy(fetched.Drinks)
export const Welcome = lazy(fetched.Welcome)
export const Labels = lazy(fetched.Labels)
export const Card = lazy(fetched.Card)

/** fetchViews fetches all of them, so that the others still open when the network drops. */
export const fetchViews = () => {
  for (const view of Object.values(fetched)) view().catch(() => undefined) // it is fetched when it is shown
}
