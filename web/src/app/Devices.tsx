import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../api/client'
import type { DeviceFigure, Devices as DevicesNow } from '../api/schema'
import { Button } from '../ui/Button'
import { ErrorText, Field } from '../ui/Field'
import { toDayAndClock } from '../ui/format'

/** useDevicesChange changes who may come in. */
function useDevicesChange<In>(change: (input: In) => Promise<DevicesNow>) {
  const client = useQueryClient()
  return useMutation({ mutationFn: change, onSuccess: (now) => client.setQueryData(['devices'], now) })
}

/** Devices are who may come in from beyond the kitchen's own machine, and with what words. */
export function Devices() {
  const devices = useQuery({ queryKey: ['devices'], queryFn: () => answer(api.GET('/api/devices')) })
  if (!devices.data) return null
  const { beyond, hasPassphrase, devices: list } = devices.data
  return (
    <section aria-label="Other devices" className="grid gap-3 border-t border-line pt-4">
      <h2 className="text-xl">Other devices</h2>
      <p className="text-note text-mute">
        {beyond
          ? 'The kitchen is open beyond its own machine. A device shows the passphrase once and is listed here.'
          : 'The kitchen is open on its own machine only. Started with --listen and an address in your network, it opens to phones and tablets that show the passphrase.'}
      </p>
      {list.length > 0 && (
        <ul aria-label="Devices" className="grid gap-2">
          {list.map((d) => (
            <DeviceRow key={d.id} d={d} />
          ))}
        </ul>
      )}
      <PassphraseForm asksCurrent={!devices.data.atHome} hasOne={hasPassphrase} />
      {hasPassphrase && <CalendarAddress />}
      <SignOut is={list.some((d) => d.this)} />
    </section>
  )
}

function DeviceRow({ d }: { d: DeviceFigure }) {
  const revoke = useDevicesChange(() => answer(api.DELETE('/api/devices/{id}', { params: { path: { id: d.id } } })))
  return (
    <li className="flex items-center gap-3 text-note">
      <span className="grow">
        <b>{d.name}</b>
        {d.this && ' (this one)'}, signed in {toDayAndClock(d.signedIn)}, last seen {toDayAndClock(d.seen)}
        {d.calendar && ', reads the plan’s calendar only'}
      </span>
      {!d.this && (
        <Button onClick={() => revoke.mutate(undefined)} disabled={revoke.isPending}>
          Sign out<span className="sr-only"> {d.name}</span>
        </Button>
      )}
    </li>
  )
}

function PassphraseForm({ asksCurrent, hasOne }: { asksCurrent: boolean; hasOne: boolean }) {
  const [passphrase, setPassphrase] = useState('')
  const [current, setCurrent] = useState('')
  const set = useDevicesChange(() => answer(api.PUT('/api/passphrase', { body: { passphrase, current } })))
  const refused = set.error instanceof Refused ? set.error : undefined
  const send = (e: FormEvent) => {
    e.preventDefault()
    set.mutate(undefined, {
      onSuccess: () => {
        setPassphrase('')
        setCurrent('')
      },
    })
  }
  return (
    <form onSubmit={send} className="grid gap-3">
      {asksCurrent && (
        <Field
          label="The passphrase so far"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(e) => setCurrent(e.target.value)}
          error={refused?.fields.current}
        />
      )}
      <Field
        label={hasOne ? 'Another passphrase' : 'A passphrase for the kitchen'}
        type="password"
        autoComplete="new-password"
        value={passphrase}
        onChange={(e) => setPassphrase(e.target.value)}
        error={refused?.fields.passphrase ?? (refused && !refused.fields.current ? refused.message : undefined)}
        hint={`At least eight characters; a few words in a row are easy to keep in mind.${hasOne ? ' Every other device is signed out and shows it anew.' : ''}`}
      />
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={set.isPending}>
          {hasOne ? 'Change the passphrase' : 'Set the passphrase'}
        </Button>
        {set.isSuccess && <span role="status">It is kept.</span>}
      </div>
    </form>
  )
}

/** CalendarAddress makes an address for a calendar program, which can show no passphrase. */
function CalendarAddress() {
  const client = useQueryClient()
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/calendar-keys')),
    onSuccess: (made) => client.setQueryData(['devices'], made.devices),
  })
  return (
    <div className="grid gap-2 text-note">
      <div>
        <Button onClick={() => make.mutate()} disabled={make.isPending}>
          Make a calendar address
        </Button>
      </div>
      {make.data && (
        <p role="status" className="break-all">
          For your calendar to subscribe to, shown this once:{' '}
          <code>{new URL(make.data.address, window.location.origin).href}</code>
        </p>
      )}
      <ErrorText id="calendar-address-error">{make.error?.message}</ErrorText>
    </div>
  )
}

function SignOut({ is }: { is: boolean }) {
  const signOut = useMutation({
    mutationFn: () => answer(api.POST('/api/sign-out')),
    onSuccess: () => window.location.reload(),
  })
  if (!is) return null
  return (
    <div>
      <Button onClick={() => signOut.mutate()}>Sign this device out</Button>
    </div>
  )
}
