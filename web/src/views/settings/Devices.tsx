import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api, query } from '../../api/client'
import { keyOf } from '../../api/keys'
import { NewPassphrase as limits } from '../../api/limits'
import type { DeviceFigure, Devices as DevicesNow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toDayAndClock } from '../../ui/format'

/** useDevicesChange changes who may come in. */
function useDevicesChange<In>(change: (input: In) => Promise<DevicesNow>) {
  const client = useQueryClient()
  return useMutation({ mutationFn: change, onSuccess: (now) => client.setQueryData(keyOf('/api/devices'), now) })
}

/** Devices are who may come in from beyond the kitchen's own machine, and with what words. */
export function Devices() {
  const devices = query.useQuery('get', '/api/devices')
  if (!devices.data) return null
  const { beyond, hasPassphrase, devices: list } = devices.data
  return (
    <div className="grid gap-3">
      <h2 className="text-xl">{copy.app.devices}</h2>
      <p className="text-note text-mute">
        {beyond ? copy.app.otherDevicesOnYourNetwork : copy.app.onlyThisComputerCanUse}
      </p>
      {list.length > 0 && (
        <ul aria-label={copy.app.signedInDevices} className="grid gap-2">
          {list.map((d) => (
            <DeviceRow key={d.id} d={d} />
          ))}
        </ul>
      )}
      <PassphraseForm asksCurrent={!devices.data.atHome} hasOne={hasPassphrase} />
      {hasPassphrase && <CalendarAddress />}
      <SignOut is={list.some((d) => d.this)} />
    </div>
  )
}

function DeviceRow({ d }: { d: DeviceFigure }) {
  const revoke = useDevicesChange(() => answer(api.DELETE('/api/devices/{id}', { params: { path: { id: d.id } } })))
  return (
    <li className="flex items-center gap-3 text-note">
      <span className="grow">
        <b>{d.name}</b>
        {d.this && copy.app.thisDevice}
        {copy.app.signedInLastSeen(toDayAndClock(d.signedIn), toDayAndClock(d.seen))}
        {d.calendar && copy.app.canOnlyReadTheCalendar}
      </span>
      {!d.this && (
        <Button onClick={() => revoke.mutate(undefined)} disabled={revoke.isPending}>
          {copy.app.signOut}
          <span className="sr-only"> {d.name}</span>
        </Button>
      )}
    </li>
  )
}

function PassphraseForm({ asksCurrent, hasOne }: { asksCurrent: boolean; hasOne: boolean }) {
  const form = useFields(limits, { passphrase: '', current: '' })
  const set = useDevicesChange((body: { passphrase: string; current: string }) =>
    answer(api.PUT('/api/passphrase', { body })),
  )
  return (
    <form onSubmit={form.submit((typed) => set.mutateAsync(typed).then(form.reset))} className="grid gap-3">
      {asksCurrent && (
        <Field
          label={copy.app.currentPassphrase}
          {...form.field('current')}
          type="password"
          autoComplete="current-password"
        />
      )}
      <Field
        label={hasOne ? copy.app.newPassphrase : copy.app.passphrase}
        hint={hasOne ? copy.app.newPassphraseHint : copy.app.passphraseHint}
        {...form.field('passphrase')}
        type="password"
        autoComplete="new-password"
      />
      <ErrorText id="passphrase-error">{form.refusal}</ErrorText>
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={form.busy}>
          {hasOne ? copy.app.changePassphrase : copy.app.setPassphrase}
        </Button>
        {set.isSuccess && <span role="status">{copy.app.passphraseSaved}</span>}
      </div>
    </form>
  )
}

/** CalendarAddress makes an address for a calendar program, which can show no passphrase. */
function CalendarAddress() {
  const client = useQueryClient()
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/calendar-keys')),
    onSuccess: (made) => client.setQueryData(keyOf('/api/devices'), made.devices),
  })
  return (
    <div className="grid gap-2 text-note">
      <div>
        <Button onClick={() => make.mutate()} disabled={make.isPending}>
          {copy.app.createACalendarLink}
        </Button>
      </div>
      {make.data && (
        <p role="status" className="break-all">
          {copy.app.subscribeToThisLinkIn}
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
    onSuccess: async () => {
      await window.caches?.delete('kitchen') // what was read of it is nobody's here any more
      window.location.reload()
    },
  })
  if (!is) return null
  return (
    <div>
      <Button onClick={() => signOut.mutate()}>{copy.app.signOutOnThisDevice}</Button>
    </div>
  )
}
