/** What a method gives that not every browser has. */
function called(of: object, method: string): unknown {
  const does: unknown = Reflect.get(of, method)
  return typeof does === 'function' ? Reflect.apply(does, of, []) : undefined
}

/** The weekday on which weeks begin on screen: Monday (0), or Sunday (6) where the browser's language has it so. */
export function firstWeekday(): 0 | 6 {
  const locale: unknown = new Intl.Locale(navigator.language)
  const info: unknown =
    typeof locale === 'object' && locale !== null
      ? (Reflect.get(locale, 'weekInfo') ?? called(locale, 'getWeekInfo'))
      : undefined
  return typeof info === 'object' && info !== null && Reflect.get(info, 'firstDay') === 7 ? 6 : 0
}
