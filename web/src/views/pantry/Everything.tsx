import { HardDriveDownload } from 'lucide-react'
import { Tray } from '../../ui/Tray'

/** Everything is all there is in the kitchen, to be taken elsewhere and kept. */
export function Everything() {
  return (
    <Tray label="Backup" className="grid gap-2">
      <h2 className="text-xl">Backup</h2>
      <p className="text-[15px] text-mute">
        All of the kitchen in one file: drinks, versions, batches, bottles, the plan, the pantry. A copy of each day is
        kept beside the kitchen's own file for a week. To put a backup back: plushladle restore FILE.
      </p>
      <a
        href="/api/backup.json"
        download
        className="inline-flex min-h-11 items-center gap-2 justify-self-start rounded-full border-2 border-rim bg-enamel px-4 font-bold"
      >
        <HardDriveDownload size={18} aria-hidden /> Everything as a file
      </a>
    </Tray>
  )
}
