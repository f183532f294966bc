import { answer, api } from '../../../api/client'
import { ToMatch as limits } from '../../../api/limits'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toTenth } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** MatchSheet proposes drinks near to figures from any label. */
export function MatchSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { recipe } = bench.draft
  const [fatG, setFat] = useKept('fatG', 0)
  const [sugarsG, setSugars] = useKept('sugarsG', 0)
  const [proteinG, setProtein] = useKept('proteinG', 0)
  const body = { fatG, sugarsG, proteinG, recipe }
  const asked = fatG + sugarsG + proteinG > 0
  const found = useAsk('match', body, () => answer(api.POST('/api/matches', { body })), asked)
  return (
    <Sheet title={copy.bench.matchALabel} intro={copy.bench.enterWhatTheLabelSays} onClose={onClose}>
      <div className="grid grid-cols-3 gap-2">
        <NumberField
          label={copy.bench.fat}
          unit="g"
          limit={limits.fatG}
          value={fatG}
          onNumber={setFat}
          error={found.fields.fatG}
        />
        <NumberField
          label={copy.bench.sugars}
          unit="g"
          limit={limits.sugarsG}
          value={sugarsG}
          onNumber={setSugars}
          error={found.fields.sugarsG}
        />
        <NumberField
          label={copy.bench.protein}
          unit="g"
          limit={limits.proteinG}
          value={proteinG}
          onNumber={setProtein}
          error={found.fields.proteinG}
        />
      </div>
      <ErrorText id="match-error">{asked ? found.refused?.message : undefined}</ErrorText>
      {asked &&
        found.data?.map((m) => (
          <section key={m.name} aria-label={m.name} className="grid gap-1 rounded-2xl border-2 border-line p-3">
            <h3 className="text-lg">{m.name}</h3>
            <p className="text-note">{m.lines.join(', ')}</p>
            <p className="text-note text-mute">
              {copy.bench.makesGFatGSugars(
                toTenth(m.reached.fatG),
                toTenth(m.reached.sugarsG),
                toTenth(m.reached.proteinG),
              )}
            </p>
            {m.unmet.map((u) => (
              <p key={u} className="text-note text-hibiscus-deep">
                {u}
              </p>
            ))}
            <Button
              disabled={!found.now}
              onClick={() => {
                bench.setRecipe(m.recipe)
                onClose()
              }}
            >
              {copy.bench.useThis}
            </Button>
          </section>
        ))}
    </Sheet>
  )
}
