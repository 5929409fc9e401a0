import type { Id, Outlet, Show } from '../../records'

/** The outlet that a kind of show starts with. */
export function firstOutlet(id: Id, kind: Show['kind'], at: string): Outlet {
  const both = { id, createdAt: at, updatedAt: at }
  return kind === 'video'
    ? {
        ...both,
        name: 'Video site',
        required: ['title', 'description', 'chapters', 'tags', 'thumbnail', 'length'],
        titleLimit: 100,
        descriptionLimit: 5000,
        fold: 157,
        tagLimit: 500,
        chapters: { least: 3, gap: 10 },
        pictureBytes: 2_000_000,
      }
    : {
        ...both,
        name: 'Podcast feed',
        required: ['title', 'description', 'thumbnail', 'length'],
        titleLimit: 150,
        descriptionLimit: 4000,
        fold: 120,
        tagLimit: 500,
        chapters: { least: 0, gap: 1 },
        pictureBytes: 500_000,
      }
}
