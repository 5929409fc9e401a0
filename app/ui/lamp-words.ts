import type { Lamp } from '@core/recipe/progress'

/** A lamp's state in words. */
export function sayLamp(lamp: Lamp): string {
  const late = lamp.late ? `, late ${lamp.late} d` : ''
  switch (lamp.state) {
    case 'dark':
      return `dark${late}`
    case 'open':
      return `open${late}`
    case 'working':
      return `working, ${Math.round(lamp.share * 100)} %${late}`
    case 'waiting':
      return `waiting${late}`
    case 'lit':
      return 'lit'
  }
}
