import { Refused } from './client'

/** sendFile sends a file as it is, which may be larger than what the other operations take, and tells how much of it arrived, 0 to 1. */
export function sendFile<Answer>(path: string, file: Blob, onShare: (share: number) => void) {
  return new Promise<Answer>((done, fail) => {
    const request = new XMLHttpRequest() // fetch tells nothing of what was sent
    request.upload.onprogress = (e) => onShare(e.loaded / e.total)
    request.onload = () => {
      const said = JSON.parse(request.responseText)
      if (request.status === 200) done(said)
      else fail(new Refused(said, request.status))
    }
    request.onerror = () => fail(new Refused(undefined, 0))
    request.open('POST', path)
    request.send(file)
  })
}
