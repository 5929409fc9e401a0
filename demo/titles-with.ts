/** Keywords that released episodes are on. */
export const covered: Readonly<Record<string, string>> = {
  'My first steamed plank broke': 'k0',
  'How to peen a rivet quietly': 'k1',
  'Spiling with a biscuit tin': 'k19',
  'Oiling or varnish on a working boat': 'k4',
  'I bought the worst boat on the quay': 'k5',
}

/** What was made, or is, with a sponsor. */
export const sponsored: Readonly<Record<string, string>> = {
  'Eight coats in nine days': 'Brightwork Varnish',
  'Rope fenders in an evening': 'Kelpline Rope',
  'Mending a hole the size of a fist': 'Brightwork Varnish',
  'Eels, and who still eats them': 'Kelpline Rope',
  'The harbour office, one window': 'Brightwork Varnish',
  'Steaming oak ribs without a steam box': 'Brightwork Varnish',
  'Caulking, the quiet skill': 'Kelpline Rope',
  'Lofting a stem on the kitchen floor': 'Kelpline Rope',
}
