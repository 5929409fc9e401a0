/** What is settled before filming, written by hand for what is in work and what was released last. */
export interface HandBrief {
  takeaway: string
  points: [string, string, string]
  description: string
  pictureIdea: string
  /** Another way to call it. */
  other: string
}

const brief = (
  takeaway: string,
  points: [string, string, string],
  description: string,
  pictureIdea: string,
  other: string,
): HandBrief => ({ takeaway, points, description, pictureIdea, other })

export const handBriefs: Readonly<Record<string, HandBrief>> = {
  'Steaming oak ribs without a steam box': brief(
    'A plastic sleeve and a wallpaper steamer bend a rib in the place where it will live.',
    [
      'Green oak, felled this year',
      'Steam it in the boat, bend bag and all',
      'Rings flat against the planks',
    ],
    'Twelve ribs, two evenings, no box. I bend green oak inside a plastic sleeve, right in the hull, and show the one that broke and why.',
    'A rib bent like a bow, still steaming, against the dark hull',
    'Twelve ribs, one plastic bag',
  ),
  'The ferry pilot, with Ines Varga': brief(
    'What ninety thousand crossings teach about a kilometre of water.',
    ['Reading the river by its weed', 'The morning with the barge', 'What a bridge would take away'],
    'Ten to six in the wheelhouse with Ines Varga, who has crossed the same river ninety thousand times and calls no two of them alike.',
    'Her hand on the brass handle, the far bank grey behind it',
    'Ninety thousand crossings',
  ),
  'Why my keel bolts wept rust': brief(
    'Two metals in one keel make a battery; pull one bolt and look at its waist.',
    [
      'Take the weight off before you pull',
      'Bronze outside, steel in the middle',
      'Tighten from the middle, in rounds',
    ],
    'A brown tear on a white plank, ten keel bolts out, and a piece of mild steel that somebody hid in 1961.',
    'The eaten bolt upright beside a new one, a rust drop under it',
    'Ten bolts and one bad secret',
  ),
  'Cutting a spar from a storm pine': brief(
    'A straight spar is already in the tree: find the line, then leave it alone.',
    ['A pine that grew in company', 'Square, eight sides, sixteen', 'Meet knots from both sides'],
    'The October wind felled eleven pines on the sand road. One of them becomes a five metre spar with an axe, a chalk line and a drawknife.',
    'A white spar on two trestles, bark all round it like snow',
    'Eleven trees, one spar',
  ),
  'Caulking, the quiet skill': brief(
    'A good seam is heard before it is seen.',
    ['Cotton goes in by sound', 'Never drive it through', 'Putty last, on a dry day'],
    'Listening to a seam: how cotton, an iron and a mallet keep a river out.',
    'An ear close to the planks, the iron in the seam',
    'The sound of a tight boat',
  ),
  'The boat tent in winter': brief(
    'Willow hoops and a patched sail keep a hull dry for the price of some twine.',
    ['Air has to walk through', 'Hoops before cover', 'Nothing that touches the deck'],
    'A winter tent from willow and an old main, and the one gap that makes it work.',
    'A long white tent in the frost with light inside it',
    'Keeping the boat dry until spring',
  ),
  'Lofting a stem on the kitchen floor': brief(
    'Draw it full size and the mistakes become large enough to see.',
    ['Paper from stove to door', 'A batten never lies about a curve', 'Lift the shape from the old stem'],
    'The kitchen is ten centimetres longer than the stem, so the stem gets drawn in the kitchen.',
    'Brown paper, black curve, bare feet at the edge',
    'Full size, between stove and door',
  ),
  'Leathering a pair of oars': brief(
    'Sewn wet and dried slowly, leather grips an oar without a drop of glue.',
    ['Measure in the boat, sitting down', 'A gap, never a lap', 'Seam away from the rowlock'],
    'An evening by the stove with bridle leather and two blunt needles, and oars that stop knocking.',
    'A dark leather cuff on pale spruce, thread still hanging',
    'Make your oars stop talking',
  ),
  'A bailer from one board': brief(
    'Forty minutes, one offcut, and a scoop that floats the right way up.',
    ['Flat underneath, as your bilge is', 'Dig across the grain', 'A handle for a wet morning'],
    'From an offcut of pine to a bailer that scrapes the last spoonful out, with two that failed beside it.',
    'The bailer upright on still water, ringed by one ripple',
    'One offcut, forty minutes',
  ),
  'Night tides': brief(
    'The highest water of the month comes while nobody looks.',
    ['Why springs are late at this quay', 'The staff, the torch and the notebook', 'What floats by at two'],
    'A walk along the quay at the top of a spring tide, with a staff, a torch and a man who writes it down.',
    'Moon on water that has reached the second step',
    'The quay at two in the morning',
  ),
  'The chandler’s ledger': brief(
    'Sixty years of a harbour can be read from what it owed.',
    ['Who bought rope and never paid', 'Bad winters, in brass screws', 'The last line in the book'],
    'We open a tarred ledger from 1931 and let the debts tell us about the people.',
    'An open ledger, one name crossed out twice',
    'What the harbour owed',
  ),
  'The net loft in February': brief(
    'Cold hands mend slowest and talk best.',
    ['Tarred twine by the stove', 'Knots that need no eyes', 'Who still comes up the ladder'],
    'An hour in the only warm room on the quay while a net gets its holes back in order.',
    'A stove door, a lit needle, a net going up into the dark',
    'The warm end of the quay',
  ),
  'Planing by eye': brief(
    'One eye, a window and three strokes at a time beat any ruler.',
    [
      'Look at the line, not at the wood',
      'Humps are marked, never guessed',
      'Stop before the stroke for luck',
    ],
    'No straight edge and no machine: a plank brought true against the light of a north window.',
    'An eye and an edge, daylight between them',
    'Straight, without a straight edge',
  ),
  'Choosing larch at the mill': brief(
    'The best board in the rack is often the one to leave there.',
    ['Rings as tight as pages', 'Bow may stay, twist may not', 'Push the meter into the end'],
    'A morning at the sawmill with a plane, a bottle of water and a meter that spoils the mood.',
    'One board stepping out of a rack of many, a chalk cross on it',
    'How to leave a beautiful board behind',
  ),
  'A tiller from one branch': brief(
    'Let the hedge bend it first, and only take away the rest.',
    [
      'A crook found in winter',
      'Wax on the ends, a month in the loft',
      'Square for the rudder, round for you',
    ],
    'From a January hedge to the stern of the boat: an ash branch that wanted to be a tiller.',
    'The branch and the tiller lying in each other’s shadow',
    'Steering with a piece of hedge',
  ),
  'The lock at low water': brief(
    'A dry lock shows who has looked after it.',
    ['Greenheart, read with a thumb', 'The bicycle under the gate', 'Where a keeper goes to be alone'],
    'Once a month the lock stands empty. We walk through it with the man who fills it again.',
    'Boots on a wet sill, two black gates above them',
    'Inside an empty lock',
  ),
}
