import type { PackagePart } from '@core/edit/package-parts'
import { wantedBy } from '@core/helpers/page-of'
import type { Cut, FrameRate } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import type { Card } from '@core/views/card'
import { useMoment } from '@app/stores/moment'

/** What of an episode was chosen to go along. */
interface Choice {
  parts: ReadonlySet<PackagePart>
  shelf: readonly { text: string; url: string }[]
}

/** The package of a cut, made when it is asked for. */
export function usePackage(card: () => Card, cut: () => Cut | undefined, rate: () => FrameRate) {
  const moment = useMoment()
  function sources({ parts, shelf }: Choice, page?: string) {
    const due = wantedBy({ kind: 'cut' }, card())
    return {
      card: card(),
      cut: cut(),
      rate: rate(),
      due: due === '' ? '' : sayDay(due, moment.today),
      parts,
      shelf: shelf.map((s) => ({ label: s.text, url: s.url })),
      ...(page ? { page } : {}),
    }
  }
  return {
    zip: async (choice: Choice) => {
      const { packageZip } = await import('@core/formats/cut-package')
      return packageZip(sources(choice))
    },
    message: async (choice: Choice, page: string) => {
      const { packageMessage } = await import('@core/formats/cut-package')
      return packageMessage(sources(choice, page))
    },
  }
}
