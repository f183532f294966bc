import { useMutation } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { answer, api } from '../../../api/client'
import type { SentReadings } from '../../../api/schema'
import { sendFile } from '../../../api/sendFile'
import { copy } from '../../../copy/more'
import { Busy } from '../../../ui/Busy'
import { Dialog } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { ChooseReadings } from './ChooseReadings'
import { LookAtReadings } from './LookAtReadings'

/** ReadingsDialog sends a thermometer's file, shows how it is read and what it costs each bottle, and only then has it imported. */
export function ReadingsDialog({ onClose }: { onClose: () => void }) {
  const [share, setShare] = useState<number>()
  const send = useMutation({
    mutationFn: (file: File) =>
      sendFile<SentReadings>(`/api/thermometer/files?name=${encodeURIComponent(file.name)}`, file, setShare),
  })
  const id = send.data?.id
  useLetGo(id)
  return (
    <Dialog onClose={onClose} title={copy.shelf.importReadings} intro={copy.shelf.firstYouSee}>
      {id === undefined ? (
        <>
          <ChooseReadings busy={send.isPending} onFile={send.mutate} />
          <Busy
            on={send.isPending}
            words={share === 1 ? copy.shelf.goingThroughIt : copy.shelf.sendingTheFile}
            share={share === 1 ? undefined : share}
          />
          <ErrorText id="readings-error">{send.error?.message}</ErrorText>
        </>
      ) : (
        <LookAtReadings id={id} onAnother={send.reset} onDone={onClose} />
      )}
    </Dialog>
  )
}

/** useLetGo lets go of a file at the kitchen once it is no longer looked at. */
function useLetGo(id: number | undefined) {
  useEffect(() => {
    if (id === undefined) return
    return () => {
      answer(api.DELETE('/api/thermometer/files/{id}', { params: { path: { id } } })).catch(() => {
        // it goes by itself within the hour
      })
    }
  }, [id])
}
