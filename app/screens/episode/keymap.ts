import { keymap } from '@app/ui/keymap'

export const episodeKeys = keymap('Episode', {
  stage: ['[ ]', 'the stage before, the stage after'],
  notebook: ['N Alt+N', 'its notebook, beside the work; Alt also while typing'],
  history: ['H', 'its history'],
})

/** In the script; all of them also while typing. */
export const scriptKeys = keymap('Script', {
  cue: ['Alt+C', 'a cue at the words selected'],
  deliver: ['Alt+V', 'to camera or voice-over'],
  move: ['Alt+ArrowUp Alt+ArrowDown', 'move the beat; in a title, its section'],
  title: ['Alt+T', 'make the beat a section’s title, and back'],
  section: ['Alt+S', 'how the section is spoken, and which point it makes'],
  next: ['Alt+U', 'the next beat without words'],
  again: ['Alt+A', 'note what may change, selected or the sentence at the caret, to look at again'],
  find: ['Ctrl+F', 'find and replace'],
  dismiss: ['Alt+X', 'dismiss the remark at the cursor for good'],
  full: ['Alt+F', 'full screen, and back'],
  read: ['R Alt+R', 'the reader; Alt also while typing'],
})

/** In the words of a cue. */
export const cueKeys = keymap('Cue', {
  kind: ['Alt+ArrowUp Alt+ArrowDown', 'another kind of cue'],
  leave: ['Enter Escape', 'back to the script'],
})

/** In the field that finds words of the script. */
export const findKeys = keymap('Find in the script', {
  next: ['Enter', 'the next place'],
  back: ['Shift+Enter', 'the place before'],
})

/** On a shot of the day of filming. */
export const shotKeys = keymap('Shots', {
  move: ['Alt+ArrowUp Alt+ArrowDown', 'film it earlier, later'],
})

/** While a cut is reviewed. */
export const cutKeys = keymap('Cut', {
  play: ['Space', 'play, and stop'],
  shuttle: ['J L', 'backwards, forwards; again for faster'],
  stop: ['K', 'stop'],
  frame: ['ArrowLeft ArrowRight', 'a frame back, a frame on'],
  jump: ['Shift+ArrowLeft Shift+ArrowRight', 'five seconds back, on'],
  note: ['Enter', 'a note; it takes the moment at which its first letter was typed'],
  turn: ['ArrowUp ArrowDown', 'to the note before, the note after'],
  tick: ['X', 'tick the note there'],
  start: ['S', 'the next section begins here'],
  approve: ['Shift+A', 'approve this cut'],
})

/** In the field for a note. */
export const noteKeys = keymap('Note on a cut', {
  keep: ['Enter', 'keep it; an empty one goes back to the cut'],
  play: ['Alt+Space', 'play, and stop, while typing'],
  leave: ['Escape', 'back to the cut'],
})

/** Among the pictures tried for an episode. */
export const thumbnailKeys = keymap('Thumbnail', {
  turn: ['ArrowLeft ArrowRight', 'the picture before, the next one'],
  choose: ['Enter', 'choose the one looked at'],
  make: ['W', 'lay words over it, crop, straighten'],
  frame: ['F', 'take a frame from the cut'],
  page: ['D', 'small sizes on a dark page, and back'],
})

/** On a picture in the making. */
export const makingKeys = keymap('Picture in the making', {
  move: ['ArrowLeft ArrowRight ArrowUp ArrowDown', 'move the chosen words, or the picture under them'],
  remove: ['Delete', 'take the chosen words off'],
  keep: ['Ctrl+Enter', 'keep it'],
  leave: ['Escape', 'leave it as it was'],
})
