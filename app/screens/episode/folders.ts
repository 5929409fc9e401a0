import { folderPlan, type FolderPlan } from '@core/formats/folder'
import { scriptMarkdown } from '@core/formats/script-markdown'
import type { Card } from '@core/views/card'

/** An episode's folders, its script and brief laid in as far as they are written. */
export function foldersOf(card: Card): FolderPlan {
  const { episode, script, show } = card
  const { takeaway, points, pictureIdea } = episode.brief
  const brief = [
    `# ${card.number} ${card.title}`,
    takeaway,
    points
      .filter(Boolean)
      .map((p) => `- ${p}`)
      .join('\n'),
    pictureIdea && `Picture: ${pictureIdea}`,
  ]
    .filter(Boolean)
    .join('\n\n')
  return folderPlan(
    card.recipe,
    {
      number: card.number,
      title: card.title,
      code: episode.code,
      date: card.standing.release?.day ?? '',
      show: show.title,
    },
    {
      'Brief.md': `${brief}\n`,
      ...(script ? { 'Script.md': scriptMarkdown(script, card.title, show.pace) } : {}),
    },
  )
}
