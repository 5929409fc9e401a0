import { Extension } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { NodeSelection, Plugin } from '@tiptap/pm/state'
import type { EditorView, NodeView } from '@tiptap/pm/view'

/** What is shown beside the words of the document and asked of it, beyond its text. */
export interface Beside {
  /** Turns a beat from one delivery to the other. */
  deliver: (at: number) => void
  /** Opens what can be done with a section, at its button. */
  section: (id: string, at: number) => void
  /** What is said beside a beat or a title that is drawn. */
  said: (id: string) => Sayings | undefined
}

/** What is said beside a beat or a title: its time, and what to write where there are no words. */
export interface Sayings {
  time: string
  placeholder: string
  /** What its words were promised for. */
  promised?: string | undefined
}

function part(tag: string, className: string, parent?: HTMLElement): HTMLElement {
  const made = document.createElement(tag)
  made.className = className
  parent?.append(made)
  return made
}
function setText(element: HTMLElement, text: string): void {
  if (element.textContent !== text) element.textContent = text
}

/** Says in one element what is said beside it. */
function sayIn(element: HTMLElement, of: (id: string) => Sayings | undefined): void {
  const said = of(element.dataset['beat'] ?? element.dataset['section'] ?? '')
  const time = element.querySelector<HTMLElement>('.time')
  if (!said || !time) return
  setText(time, said.time)
  const promise = element.querySelector<HTMLElement>('.promise')
  if (promise) setText(promise, said.promised ?? '')
  const words = element.querySelector<HTMLElement>('.words')
  if (words && words.dataset['placeholder'] !== said.placeholder)
    words.dataset['placeholder'] = said.placeholder
}

const pressed = (event: Event, on: HTMLElement) =>
  event.target instanceof globalThis.Node && on.contains(event.target)

/** Does something when a button is pressed, the caret staying where it is. */
function whenPressed(button: HTMLElement, deed: () => void): void {
  button.addEventListener('mousedown', (event) => {
    event.preventDefault()
  })
  button.addEventListener('click', deed)
}

const deliveries = {
  camera: { word: 'camera', says: 'To camera; change to voice-over' },
  voice: { word: 'voice', says: 'Voice-over; change to camera' },
}

/** A beat: time and delivery in the gutter, its bar, its words. */
export class BeatView implements NodeView {
  readonly dom = part('div', 'beat')
  readonly contentDOM: HTMLElement
  private readonly word: HTMLElement
  private readonly button: HTMLElement
  private readonly grip: HTMLElement

  constructor(
    private node: Node,
    view: EditorView,
    private readonly at: () => number | undefined,
    beside: Beside,
  ) {
    const gutter = part('div', 'gutter', this.dom)
    gutter.contentEditable = 'false'
    const grip = part('span', 'grip', gutter)
    grip.title = 'Drag the beat (Alt ↑ ↓)'
    this.grip = grip
    // By the grip alone: elsewhere dragging selects words.
    grip.addEventListener('mousedown', () => {
      const where = this.at()
      if (where === undefined) return
      view.dispatch(view.state.tr.setSelection(NodeSelection.create(view.state.doc, where)))
      this.dom.draggable = true
    })
    for (const ended of ['dragend', 'drop', 'mouseup'])
      this.dom.addEventListener(ended, () => {
        this.dom.draggable = false
      })
    this.button = part('button', 'delivery', gutter)
    this.button.tabIndex = -1
    part('span', 'time', this.button)
    this.word = part('span', 'how', this.button)
    this.contentDOM = part('p', 'words', this.dom)
    part('p', 'promise', this.dom).contentEditable = 'false'
    whenPressed(this.button, () => {
      const where = this.at()
      if (where !== undefined) beside.deliver(where)
    })
    this.show()
    sayIn(this.dom, beside.said)
  }

  private show(): void {
    const { id, delivery } = this.node.attrs
    this.dom.dataset['beat'] = String(id)
    this.dom.classList.toggle('voice', delivery === 'voice')
    this.dom.classList.toggle('blank', this.node.content.size === 0)
    const { word, says } = deliveries[delivery === 'voice' ? 'voice' : 'camera']
    setText(this.word, word)
    this.button.setAttribute('aria-label', says)
    this.button.title = `${says} (Alt V)`
  }

  update(node: Node): boolean {
    if (node.type !== this.node.type) return false
    this.node = node
    this.show()
    return true
  }

  stopEvent(event: Event): boolean {
    return pressed(event, this.button) || (event.type === 'mousedown' && pressed(event, this.grip))
  }

  ignoreMutation(mutation: { type: string; target: globalThis.Node }): boolean {
    return mutation.type !== 'selection' && !this.contentDOM.contains(mutation.target)
  }
}

/** A section's title with its time and a button for what else can be done with it. */
export class TitleView implements NodeView {
  readonly dom = part('div', 'section-title')
  readonly contentDOM: HTMLElement
  private readonly button: HTMLElement

  constructor(
    private node: Node,
    private readonly at: () => number | undefined,
    beside: Beside,
  ) {
    this.contentDOM = part('h3', 'title', this.dom)
    this.contentDOM.dataset['placeholder'] = 'Title of the section'
    const tail = part('span', 'tail', this.dom)
    tail.contentEditable = 'false'
    part('span', 'time', tail)
    this.button = part('button', 'more', tail)
    this.button.tabIndex = -1
    this.button.textContent = '⋯'
    whenPressed(this.button, () => {
      const where = this.at()
      if (where !== undefined) beside.section(String(this.node.attrs['id']), where)
    })
    this.show()
    sayIn(this.dom, beside.said)
  }

  private show(): void {
    this.dom.dataset['section'] = String(this.node.attrs['id'])
    this.dom.classList.toggle('blank', this.node.content.size === 0)
    this.button.setAttribute('aria-label', `More for the section ${this.node.textContent}`)
    this.button.title = 'How it is spoken, which point it makes (Alt S)'
  }

  update(node: Node): boolean {
    if (node.type !== this.node.type) return false
    this.node = node
    this.show()
    return true
  }

  stopEvent(event: Event): boolean {
    return pressed(event, this.button)
  }

  ignoreMutation(mutation: { type: string; target: globalThis.Node }): boolean {
    return mutation.type !== 'selection' && !this.contentDOM.contains(mutation.target)
  }
}

/** Views of the document’s nodes. */
export const Views = Extension.create<{ beside: Beside }>({
  name: 'views',
  addOptions: () => ({
    beside: { deliver: () => undefined, section: () => undefined, said: () => undefined },
  }),
  addProseMirrorPlugins() {
    const { beside } = this.options
    return [
      new Plugin({
        props: {
          nodeViews: {
            beat: (node: Node, view: EditorView, at) => new BeatView(node, view, at, beside),
            title: (node: Node, _view: EditorView, at) => new TitleView(node, at, beside),
          },
        },
      }),
    ]
  },
})

/** Says beside every beat and title what it takes; only what is another is written. */
export function sayTimes(root: HTMLElement, of: (id: string) => Sayings | undefined): void {
  for (const element of root.children) if (element instanceof HTMLElement) sayIn(element, of)
}
