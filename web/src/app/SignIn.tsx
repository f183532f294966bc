import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../api/client'
import { Button } from '../ui/Button'
import { Field } from '../ui/Field'
import { Mark } from '../ui/Mark'
import { Tray } from '../ui/Tray'

/** SignIn asks a device from beyond the kitchen's own machine for the passphrase, in the place of all views. */
export function SignIn() {
  return (
    <main className="mx-auto grid w-full max-w-md gap-4 pt-[12dvh]">
      <div className="flex items-center gap-3 font-head text-2xl font-bold">
        <Mark />
        Plush Ladle
      </div>
      <Tray label="Sign in">
        <h1 className="mb-3 text-2xl leading-tight">Come into the kitchen</h1>
        <SignInForm />
      </Tray>
    </main>
  )
}

/** SignInForm keeps what was typed until it is right; whoever is let in finds the page as it was. */
export function SignInForm() {
  const client = useQueryClient()
  const [passphrase, setPassphrase] = useState('')
  const [device, setDevice] = useState(/Mobi/.test(navigator.userAgent) ? 'A phone' : 'A computer')
  const signIn = useMutation({
    mutationFn: () => answer(api.POST('/api/sign-in', { body: { passphrase, device } })),
    onSuccess: () => client.invalidateQueries(),
  })
  const refused = signIn.error instanceof Refused ? signIn.error : undefined
  const send = (e: FormEvent) => {
    e.preventDefault()
    signIn.mutate()
  }
  return (
    <form onSubmit={send} className="grid gap-4">
      <Field
        label="The kitchen’s passphrase"
        type="password"
        autoComplete="current-password"
        value={passphrase}
        maxLength={1000}
        onChange={(e) => setPassphrase(e.target.value)}
        error={refused?.message}
        hint="It was set where the kitchen runs. This device is asked once."
      />
      <Field
        label="What this device is called"
        value={device}
        maxLength={60}
        onChange={(e) => setDevice(e.target.value)}
        hint="So that you know it in the kitchen’s list of devices."
      />
      <div>
        <Button primary type="submit" disabled={signIn.isPending}>
          Sign in
        </Button>
      </div>
    </form>
  )
}
