/** Chalk sketches, each with the words of a title that it goes with; the first that fits is drawn. */
const sketches: readonly { fits: RegExp; path: string }[] = [
  {
    fits: /tide|moon|night|low water|river|fog|mud|seal/i,
    path: 'M10 36c8-4 12 4 20 0s12-4 20 0 10 2 14 0M10 42c8-4 12 4 20 0s12-4 20 0 10 2 14 0M44 12a9 9 0 1 0 8 13 11 11 0 0 1-8-13z',
  },
  {
    fits: /bolt|rivet|nail|iron|fasten|bearing|plane|saw|winch|copper|bronze/i,
    path: 'M10 26h30v-6h10v20H40v-6H10zM50 24h14M50 36h14M16 26v8M24 26v8',
  },
  {
    fits: /tent|cover|net|loft in|light|tower|window|shed|harbour/i,
    path: 'M14 44c0-20 6-32 22-32s22 12 22 32M22 44c0-16 4-24 14-24s14 8 14 24M10 44h52',
  },
  {
    fits: /\brib|plank|strake|bevel|gunwale|stem|lofting|caulk|seam|larch|board/i,
    path: 'M8 30c14-10 30-14 56-14M10 36c16-9 34-12 55-12M20 22l8 12M34 18l7 13M48 16l6 12',
  },
  {
    fits: /, with |ledger|keeper|letters|woman|women|who |talk|pilot|maker/i,
    path: 'M36 10a8 8 0 1 1 0 16 8 8 0 0 1 0-16zM20 46c1-12 8-17 16-17s15 5 16 17M28 46v-6M44 46v-6',
  },
  {
    fits: /spar|mast|sail|boat|launch|row|oar|tiller|ferry|miles|ship/i,
    path: 'M8 38c12 6 44 6 56 0M14 36l6-10h32l6 10M36 26V8l14 14H36M10 44c8 3 12-3 20 0s12 3 20 0 10-3 14 0',
  },
]

/** The sketch for a title; where no word of it says anything, one by its letters, always the same. */
export function chalkSketch(title: string): string {
  const found = sketches.find((s) => s.fits.test(title))
  const sum = [...title].reduce((n, c) => n + (c.codePointAt(0) ?? 0), 0)
  return (found ?? sketches[sum % sketches.length])?.path ?? ''
}
