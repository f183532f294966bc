import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../api/client'
import { SignIn as limits } from '../api/limits'
import { copy } from '../copy/more'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { ErrorText, Field } from '../ui/Field'
import { useFields } from '../ui/form'
import { Mark } from '../ui/Mark'
import { Tray } from '../ui/Tray'

/** SignIn asks a device from beyond the kitchen's own machine for the passphrase, in the place of all views. */
export function SignIn() {
  return (
    <main className="mx-auto grid w-full max-w-md gap-4 pt-[12dvh]">
      <div className="flex items-center gap-3 font-head text-2xl font-bold">
        <Mark />
        {copy.app.plushLadle}
      </div>
      <Tray label={copy.app.signIn}>
        <h1 className="mb-3 text-2xl leading-tight">{copy.app.signInToTheKitchen}</h1>
        <SignInForm />
      </Tray>
    </main>
  )
}

/** SignedOut asks again over the view that stood there when the device was signed out. */
export function SignedOut() {
  return (
    <Dialog title={copy.app.youHaveBeenSignedOut} intro={copy.app.whatYouWereWorkingOn} onClose={() => undefined}>
      <SignInForm />
    </Dialog>
  )
}

/** SignInForm keeps what was typed until it is right; whoever is let in finds the page as it was. */
function SignInForm() {
  const client = useQueryClient()
  const isPhone = /Mobi/.test(navigator.userAgent)
  const form = useFields(limits, { passphrase: '', device: isPhone ? copy.app.phone : copy.app.computer })
  const signIn = useMutation({
    mutationFn: (body: { passphrase: string; device: string }) => answer(api.POST('/api/sign-in', { body })),
    onSuccess: () => client.invalidateQueries(),
  })
  return (
    <form onSubmit={form.submit((typed) => signIn.mutateAsync(typed))} className="grid gap-4">
      <Field
        label={copy.app.kitchenPassphrase}
        hint={copy.app.itWasSetOnThe}
        {...form.field('passphrase')}
        type="password"
        autoComplete="current-password"
      />
      <Field label={copy.app.nameOfThisDevice} hint={copy.app.soYouCanTellYour} {...form.field('device')} />
      <ErrorText id="sign-in-error">{form.refusal}</ErrorText>
      <div>
        <Button primary type="submit" disabled={signIn.isPending}>
          {copy.app.signIn}
        </Button>
      </div>
    </form>
  )
}
