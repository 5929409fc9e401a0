/** What one demo episode is about: everything that its script, tags and picture are made from. */
export interface Subject {
  title: string
  topic: string
  /** The thing worked on, its material and the tool, as they stand in a sentence. */
  thing: string
  material: string
  tool: string
  /** The words on its picture. */
  words: string
  motif: Motif
}

export type Motif =
  | 'plank'
  | 'ribs'
  | 'rings'
  | 'rope'
  | 'nails'
  | 'oars'
  | 'sail'
  | 'hull'
  | 'waves'
  | 'lamp'
  | 'moon'
  | 'spiral'
  | 'bolt'
  | 'ferry'
  | 'net'
  | 'tower'

function read(lines: string): Subject[] {
  return lines
    .trim()
    .split('\n')
    .map((line) => {
      const [title = '', topic = '', thing = '', material = '', tool = '', words = '', motif = 'plank'] =
        line.split('|')
      return { title, topic, thing, material, tool, words, motif: motifs.find((m) => m === motif) ?? 'plank' }
    })
}

const motifs: readonly Motif[] = [
  'plank',
  'ribs',
  'rings',
  'rope',
  'nails',
  'oars',
  'sail',
  'hull',
  'waves',
  'lamp',
  'moon',
  'spiral',
  'bolt',
  'ferry',
  'net',
  'tower',
]

/** Tern & Tiller, released: #1 to #41 in order. */
export const releasedBoats = read(`
I bought the worst boat on the quay|Hulls|the hull|tired larch|a bradawl|THE WORST ONE|hull
What the bilge told me|Hulls|the bilge|old oak|a scraper|LOOK UNDER|waves
Lifting a keel with two trolleys|Hulls|the keel|greenheart|two trolley jacks|LIFT IT|hull
A shed for the price of a sail|Workshop|the shed|larch poles|a post spade|ONE SAIL|plank
The bench that fits a curve|Workshop|the bench|ash|a spokeshave|CURVED BENCH|plank
Sharpening for people who hate it|Workshop|the edge|tool steel|a water stone|SHARP ENOUGH|spiral
Reading rot with a teaspoon|Hulls|the frame ends|soft oak|a teaspoon|ROT SPOON|rings
Drawing a boat that has no plans|Hulls|the lines|lining paper|a spline|NO PLANS|ribs
My first steamed plank broke|Planking|the plank|green oak|a steam bag|IT BROKE|plank
Why planks are not straight|Planking|the strake|larch|a spiling batten|NOT STRAIGHT|ribs
Spiling with a biscuit tin|Planking|the strake|larch|a compass and a tin|TIN TRICK|rings
The garboard, twice|Planking|the garboard|larch|a rebate plane|TWICE|hull
Bevels without arithmetic|Planking|the bevel|oak|a bevel board|NO SUMS|ribs
Clamps I made from a bed|Workshop|the clamps|beech slats|a tap and die|BED CLAMPS|plank
Copper or bronze, and what it costs|Fastenings|the fastenings|copper|a rivet set|COPPER?|nails
How to peen a rivet quietly|Fastenings|the rivet|copper|a ball hammer|QUIET NOW|nails
A keelson from a barn beam|Hulls|the keelson|barn oak|an adze|BARN BEAM|plank
Floors, the part nobody sees|Hulls|the floors|grown oak|a slick|UNSEEN|ribs
Laminating a tiller in the kitchen|Spars and sails|the tiller|ash and sapele|a hot kettle|KITCHEN GLUE|spiral
The centreboard case that leaked|Hulls|the case|marine ply|bedding compound|IT LEAKED|waves
Bedding compound, five tried|Finish|the seam|linseed and whiting|a palette knife|FIVE TRIED|spiral
One stem, three joints|Hulls|the stem|oak crooks|a mortise chisel|3 JOINTS|rings
Oiling or varnish on a working boat|Finish|the rail|larch|a soft brush|OIL OR NOT|plank
Eight coats in nine days|Finish|the transom|mahogany|a tipping brush|8 COATS|hull
Making oars that balance|Oars|the oars|spruce|a drawknife|BALANCED|oars
Splicing what you can reach|Spars and sails|the eye splice|three-strand rope|a fid|SPLICE IT|rope
A mast step that lets water out|Spars and sails|the mast step|oak|a gouge|LET IT OUT|rings
Rudder irons from the scrapyard|Fastenings|the irons|mild steel|an angle grinder|SCRAP IRON|bolt
Cutting a gunwale scarf by eye|Planking|the scarf|ash|a jack plane|BY EYE?|plank
Sewing a lugsail on a hall floor|Spars and sails|the lugsail|tanbark cloth|a sail needle|HALL FLOOR|sail
Launching on the wrong tide|Afloat|the slip|wet larch|a hand winch|WRONG TIDE|waves
The first ten miles|Afloat|the trim|a loaded hull|a bucket|TEN MILES|sail
What broke first|Afloat|the thole pins|dry ash|a spare pin|BROKE FIRST|bolt
A cover that does not drip|Workshop|the cover|canvas|wax and an iron|NO DRIP|waves
Rope fenders in an evening|Spars and sails|the fender|old warp|a marlinspike|ONE EVENING|rope
Painting below the line, still wet|Finish|the bottom|red lead|a roller|STILL WET|waves
Mending a hole the size of a fist|Hulls|the hole|a graving piece|a fine saw|FIST HOLE|hull
384 copper nails|Fastenings|the lands|copper|a dolly|384 NAILS|nails
A tiller from one branch|Spars and sails|the tiller|a grown branch|a drawknife|TILLER|spiral
Choosing larch at the mill|Planking|the boards|larch|a moisture meter|NOT THIS LARCH|rings
Planing by eye|Workshop|the plank edge|larch|a try plane|BY EYE|spiral`)

/** Tern & Tiller, in work: the ones on slots in order, then those without. */
export const workBoats = read(`
Steaming oak ribs without a steam box|Planking|the ribs|green oak|a plastic sleeve|BENT COLD|ribs
Why my keel bolts wept rust|Fastenings|the keel bolts|bronze and steel|a long socket|IT WEPT|bolt
Cutting a spar from a storm pine|Spars and sails|the spar|storm pine|a drawknife|STORM PINE|plank
Caulking, the quiet skill|Planking|the seams|cotton and putty|a caulking iron|LISTEN|rope
The boat tent in winter|Workshop|the tent|willow hoops|a hot iron|WINTER TENT|hull
Lofting a stem on the kitchen floor|Hulls|the stem|brown paper|a long batten|FULL SIZE|ribs`)

export const spareBoats = read(`
Leathering a pair of oars|Oars|the leathers|bridle leather|an awl|QUIET OARS|oars
A bailer from one board|Oars|the bailer|a pine offcut|a gouge|ONE BOARD|hull`)

/** Harbour Hours, released: HH 1 to HH 18 in order. */
export const releasedTalks = read(`
The woman who counts the tides|Tides|the tide table|a ledger|a pencil|TIDE BOOK|waves
Forty winters on the dredger|Yards|the dredger|river mud|a bucket chain|MUD|ferry
What a harbour sounds like at four|Harbour life|the harbour|fog|a hand lamp|04:00|moon
The last sailmaker on the river|Yards|the loft|flax cloth|a palm|LAST LOFT|sail
Eels, and who still eats them|Fishing|the eel trap|willow|a stake|EELS|net
A diver’s cold hands|Yards|the lock gate|black water|a knife|COLD HANDS|waves
The ferry that runs on a rope|Ferries|the rope ferry|steel wire|a notched stick|ON A ROPE|ferry
Keeping a light nobody needs|Lights|the light|brass and glass|a linen cloth|STILL LIT|lamp
The harbour office, one window|Harbour life|the ledger|paper|a stamp|WINDOW 1|tower
Salt: forty pans and a rake|Harbour life|the pans|salt|a wooden rake|SALT|waves
A pilot’s first fog|Ferries|the bar|fog|a lead line|FIRST FOG|moon
Nets, knots and bad knees|Fishing|the nets|tarred twine|a netting needle|KNOTS|net
The boatyard with no boats|Yards|the slip|silence|a broom|EMPTY|hull
Letters to a lighthouse|Lights|the post|paper|a letter knife|DEAR LIGHT|tower
How to board a moving ship|Ferries|the ladder|manila|two hands|STEP NOW|ferry
Crabs do not keep office hours|Fishing|the pots|hazel|a hook|CRABS|net
Salt in the bearings|Yards|the engine|brass|a grease gun|BEARINGS|bolt
The lock at low water|Ferries|the lock|greenheart gates|a windlass|LOW WATER|waves`)

export const workTalks = read(`
The ferry pilot, with Ines Varga|Ferries|the crossing|brown water|a hand on the wheel|FERRY PILOT|ferry
Night tides|Tides|the spring tide|moonlight|a tide staff|NIGHT TIDES|moon
The chandler’s ledger|Harbour life|the ledger|tarred paper|a steel pen|ON ACCOUNT|tower
The net loft in February|Fishing|the loft|tarred twine|a stove|NET LOFT|net`)

/** Ideas: forty for the boats, twenty for the talks. */
export const ideaBoats = `
Ten knots I actually use|Knots with cold hands only: no splices.
Your questions, at the bench|Fourteen letters are in the box.
Why wooden boats smell
Trailer lights that survive salt
A folding thwart
The tool roll my aunt left me|Story first, tools second.
Tarring a rope the old way
Sculling over the stern, learned badly
What a moisture meter lies about
A boat cover from two old sails
Building a steam box after all
Making dowels with a steel plate
Do I need a boat shed at all
Grown crooks: finding them in a hedge
Pine tar on everything
A hull clinic: three boats, one hour each
The rivet that would not hold
Anchors for a mud harbour
Leaving a boat out all winter, on purpose
A week of ten-minute jobs
The cheapest plane that works
Reading wood grain for bending
Trestles that do not walk
Rebuilding a hand winch
The sound of a good seam
Painting names without a sign writer
Rowing home with one oar
Oak against larch, one year in the mud
How much does it weigh, really
A bung that floats
Stem bands from old copper pipe
Hanging a rudder alone
How to say no to a free boat
A bowsprit for a day
Bronze casting in a biscuit tin
The tide clock I made wrong
Three saws, one board
Lines from a photograph
Waterproof matches and other small vanities
The boat in the hedge, part two`

export const ideaTalks = `
Lamp oil and lightships, with Tomas Ek|He kept the last manned one, nine years.
Ropewalk on tape|Asked for in fourteen letters.
The tug that never tows
Women of the fish quay
Who paints the buoys
A day with the harbour dog
Tide tables before computers
The bridge keeper’s evenings
Ice on the river, remembered
Buoy bells and who tunes them
The customs shed, now a school
A cook on a coaster
Mud larks and mud laws
The weather from a window
Sons who did not stay
The ferry timetable, a history
What the seals know
Bells, horns and other manners
Names of boats, and why
The quiet after the season`

/** Titles and notes of ideas, parted. */
export function readIdeas(lines: string): { title: string; note: string }[] {
  return lines
    .trim()
    .split('\n')
    .map((line) => ({ title: line.split('|')[0] ?? line, note: line.split('|')[1] ?? '' }))
}
