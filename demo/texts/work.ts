/** Scripts of what is in work, written by hand; see `read.ts` for their form. */
export const workTexts: Readonly<Record<string, string>> = {
  'Steaming oak ribs without a steam box': `
# hook
This is a green oak rib, twelve millimetres by twenty, and I am going to tie it in a bow. Not because anyone needs a bow, but because an hour ago it was as stiff as a broom handle.
[The rib bent round my knee, in one go]
I built a steam box once. It took a weekend, leaked at both ends, and steamed my glasses better than it steamed oak.
# need
v| You need three things today: a wallpaper steamer, a roll of the plastic sleeve that upholsterers wrap cushions in, and oak that still remembers the tree.
Green means felled this year. Kiln oak has been cooked already, and it will not be talked into anything a second time.
[Two ends of oak: green and kiln dried, side by side]
v| I cut mine from the butt end of a fence post that the sawmill in Alder Quay could not sell. Ask for straight grain and take the bark home as well, since they will not want it back.
Look along the edge before you carry it to the van. If the grain runs out of the side within a forearm's length, the rib will break exactly there, and it will wait until you are proud of it.
[Grain running out of an edge, finger following it]
Gloves, a pencil, a dozen clamps with their jaws open. Open them now, because you will have about twenty seconds later and no spare hand.
# making
v| The sleeve goes straight into the boat. Nobody tells you this, so I will: you can steam the rib where it will live.
[Sleeve laid along the planks from keel to gunwale]
Feed the rib in, tape the lower end round the hose, and leave the top end open by the width of a thumb. Steam has to travel or it turns into a puddle.
+30
[Steam coming out of the open end]
v| Count an hour for every inch of thickness. These are half an inch, so I have time for one sandwich and no more.
After ten minutes the plastic goes soft and hugs the wood. After fifteen you can bend rib and bag together, a little at a time, and feel where it is still asleep.
[The bag sagging onto the rib]
+25
v| Now lean. Heel on the keel, hands on the top, and lean the way you would lean on a gate to talk to somebody.
[Whole body leaning, camera low at the stern]
It goes. There is no crack, no drama, only a sort of sigh, and then the oak is lying against the planks as if it had grown there.
+20
Clamp from the keel upwards. Starting at the gunwale leaves a gap down at the turn of the bilge, where you cannot see it and the river can.
[Clamps going on one after the other, from the bottom]
v| The bag stays on while it cools. That is the other thing a box cannot do: with a box you run across the yard with the stick cooling in your hands.
Overbend by a finger if your planks allow it. Oak gives a little back overnight, like a cat that has been put off a chair.
[Rib standing proud of a chalk line by a finger]
v| In the morning I slit the plastic with a blunt knife and peel it off like the skin of a sausage. Twelve ribs took me two evenings and one box of tea.
+20
[Peeling the sleeve off, morning light]
# wrong
Rib number one broke, and here it is. I had turned it with the rings standing across the bend, because it looked handsome that way.
[The broken rib, rings across the bend]
v| Lay the rings flat against the planks, like pages of a book that is being closed. Ten of the next eleven went in without a murmur.
Number seven wrinkled on the inside, and that was heat. I had let the tape slip, so the bottom half steamed while the top half sunbathed.
[Wrinkles on the inside of rib seven]
v| My third mistake was the floor. Condensed steam is hot water, it runs out of the low end, and my left boot knows all about it.
# signoff
Tell me what you bend at home and what you bend it in. Somebody wrote that he uses a drainpipe, and I have been thinking about drainpipes ever since.
[Boat from the door, twelve new ribs in her]
v| Next Thursday I pull a keel bolt that has been weeping rust down my nice clean planks. Bring a rag.`,

  'Why my keel bolts wept rust': `
# hook
There is a brown tear running down this plank, and I have wiped it off four Sundays in a row. Today I stop wiping and find out who is crying.
[Brown streak on white paint, rag going over it @ Slip, close, sun, 8]
# need
v| A socket as long as your forearm, a breaker bar, two jacks for the keel, and a friend who does not mind holding a torch for an hour.
My friend is called Bruno, he works on the ferry, and he holds the torch at whatever he finds interesting.
[Torch light wandering off to a gull @ Slip, close, lamp, 5]
Penetrating oil goes on three days before. Patience is cheaper than a snapped bolt, and a snapped bolt costs a keel.
# making
v| First the boat has to stand on something that is not her bolts. I chock the keel along its whole length and take the weight off with the jacks until a sheet of paper just slides.
[Paper sliding between keel and block @ Slip, close, lamp, 7]
Then I clean the head. Under the paint was putty, under the putty was tallow, and under the tallow somebody in 1961 had written a pencil cross.
[The pencil cross, brushed clean @ Slip, close, lamp, 5]
v| The socket goes on and I lean. Nothing happens for so long that you begin to hear the clock in the shed.
+30
And then a quarter turn, with a shriek. That was not the thread letting go, that was rust letting go of rust.
[Breaker bar moving a quarter turn @ Slip, wide, sun, 12]
v| Out it comes, and look at the waist of it. Good bronze at both ends, and in the middle, where bronze runs through the wet joint between keel and hog, somebody has spliced in a piece of mild steel.
[The bolt on white paper, steel middle eaten thin @ Bench, close, lamp, 10]
Two metals and salt water are a battery. The bronze was fine all along; it was the steel that paid for everyone.
+15
v| Twelve millimetres became five. I put the caliper on it twice, because I had sailed with it for a summer.
[Caliper reading five millimetres @ Bench, close, lamp, 6]
So here is the rule I have painted on the shed door. One boat, one metal, and if you cannot tell what it is, take it out and hit it with a file.
[A file stroke on bronze, then on steel @ Bench, close, lamp, 8]
v| The new ones are bar, threaded at both ends, with a washer as wide as a coin you would actually miss. I dip each in bedding compound and turn it in by hand until hands are not enough.
+25
[New bolt turning in, compound squeezing out @ Slip, close, lamp, 12]
Tighten them in turn, from the middle outwards, a little each, like the lid of a jar you are fond of. By the third round the seam between keel and hog had closed from daylight to a hair.
[Feeler gauge refusing to enter the seam @ Slip, close, lamp, 6]
# wrong
I should have pulled one bolt in the first winter. Pulling one tells you about the other nine, and I did not want to be told.
v| I also trusted a magnet. It stuck to nothing because there was a finger of bronze between it and the guilty part.
[Magnet sliding off the bolt head @ Bench, close, lamp, 4]
Bruno says the mistake was buying the boat. He is holding the torch on me now, so it must be so.
# cost
v| Ten bronze bolts cost what I had put by for a new sail. The old sail has been informed.
+5
# signoff
If your boat weeps, tell me what colour. Red is iron, green is copper, and black is oak telling you about both.
[Empty bolts in a row on the bench @ Bench, wide, lamp, 5]
v| Next week a storm does half my work for me, and I cut a spar out of what it left.`,

  'Cutting a spar from a storm pine': `
# hook
On the ninth of October the wind took {eleven pines} on the sand road. I asked for the straightest, and the forester asked me whether I was joking.
[Fallen pines across a sand road @ Sand road, wide, sun, 12]
# need 1
v| A tree that {grew in company}, because pines in a crowd go up and pines on their own go out. Count the {knots on one side}, and if you can count them you have the right one.
[graphic| Two pines: one in a crowd, one alone]
[Hand counting knots along the trunk @ Yard, close, sun, 8]
Bark spade, {chalk line}, an axe that you have met before, and the drawknife. Also two trestles of different heights, so that what you cut off rolls away from your feet.
[edit| Names of the tools as they are touched]
v| {Peel it} the same week. Under the bark it is as slippery as soap, and by the {second week} it is as sticky as a promise.
[Bark coming off in one long strip @ Yard, wide, sun, 14]
[sound| Bark tearing, close; recorded at the bench; own]
# making 2 3
Six metres of trunk make five metres of spar. The top metre is for the stove and for modesty.
v| The {chalk line} tells you where the middle is, not where the tree thinks it is. Sight along it, {roll the trunk a quarter}, and snap the line again.
[Chalk line snapping blue on white wood @ Bench, close, lamp, 10]
[edit| Hold on the second snap]
First it becomes square. I cut down to the line every two feet with a saw and split the pieces off with the axe, and for a morning the whole quay {smells of Christmas}.
[sound| Church bells over water; Alder Quay choir]
+25
v| Then square becomes eight sides. There is a {gauge} for this: two nails and two pencils on a stick, and whatever the taper does, the marks stay true.
[Spar gauge run along the taper @ Yard, close, sun, 8]
Eight becomes sixteen, and sixteen becomes something you hold in both arms and turn with your {eyes shut}. Flats are loud to the palm, much louder than they look.
[Eyes shut, palms turning the spar @ Bench, close, lamp, 6]
v| I stop at {each ring of knots} and come at it from both sides. A drawknife that meets a knot head on wins, and takes a spoonful of your spar as the prize.
[link| Sharpening a drawknife, #31]`,

  'Lofting a stem on the kitchen floor': `
# hook
My kitchen is two metres forty from stove to door, and the stem of this boat is two metres thirty. I take that as an invitation.
[Brown paper from stove to door, chairs on the table @ Kitchen floor, from above, lamp, 8]
# need
v| Lining paper, a batten of straight grained spruce as long as the room, a box of lead weights, and nobody hungry before four.
My weights are sash weights in old socks. They do not roll, and they do not mark the paper, and one of them still has a name sewn in.
[Socks holding a batten to a curve @ Kitchen floor, close, lamp, 6]
Take the sizes off the old stem before it is firewood. I pressed a soft lead strip round it and walked it home like a tired snake.
[Lead strip carried out of the shed @ Yard, wide, sun, 6]
# making
v| A line down the middle of the paper first, with a string and chalk, because everything else is measured from it and paper is never as straight as it says.
[String snapping chalk on brown paper @ Kitchen floor, from above, lamp, 6]
Then the stations, a hand and a half apart, squared off the line. I write the number on each of them twice, since the cat sleeps on one of the two.
[Cat lying on station four @ Kitchen floor, close, lamp, 4]
v| Lay the lead along the marks, lay the batten along the lead, and put a weight where the curve asks for one. You will see when it is fair: your eye runs along it and does not trip.
+10
[Eye low along the batten, weights either side @ Kitchen floor, close, lamp, 9]
Where it trips, move one weight by the width of a pencil and look again from the other end. Twenty times of that is an evening, and the evening is the whole job.
v| Last comes the rabbet, which is where the planks will land. Three lines side by side, and each of them has to be as fair as the one before.
[Three pencil lines meeting at the forefoot @ Kitchen floor, from above, lamp, 7]
# wrong
I drew the first one on the shiny side. By morning the lines had walked off on my socks, and I lofted the stem of somebody else's boat.
[Socks with pencil on their soles @ Bench, close, lamp, 4]
# signoff
v| Roll it up, write the date on it, and keep it longer than the boat. Paper is the only part of her that does not rot.
[Roll of paper going up into the rafters @ Bench, wide, lamp, 5]
Tell me what you have drawn on a floor, and who had to step over it.`,

  'Leathering a pair of oars': `
# hook
Listen to this oar. Now listen to that one. The difference is a strip of leather as wide as my hand and one evening by the stove.
[Bare oar knocking in its rowlock, then the leathered one]
# need
v| Bridle leather, three millimetres, long enough to go round the loom and not quite meet. Not quite is the whole trick.
Waxed thread, two blunt needles, an awl, copper tacks if you are nervous. I am, but I have stopped using them.
[Leather, thread and needles laid out on a tea towel]
Measure where the rowlock really sits, in the boat, with you in it. Nearly everybody puts the leather where the drawing says.
# making
v| Wrap paper round the loom, mark the overlap, and lay it flat. An oar tapers, so the paper is not a rectangle, and neither is the leather.
[Paper pattern opening into a slight fan]
Cut it with a gap of four millimetres. Then put it in warm water, and make yourself a warm drink to keep it company.
+20
v| Wet leather stretches and dry leather shrinks, so we sew while it is wet and let the stove do the tightening.
Make the holes a finger nail in from the edge, in pairs, straight across from each other. If they wander, the seam will wander, and it will spiral round your oar like a stair.
[Awl going through, pairs of holes]
v| Begin in the middle of the thread with a needle at each end. Cross over, cross under, pull until the edges kiss.
+30
[Seam closing stitch by stitch]
The seam goes on the side away from the rowlock, facing you as you pull. I marked mine with a dot, and then I sewed the dot inside.
[Dot disappearing into the seam]
v| A collar at the outer end keeps the oar from sliding into the river. It is only a second strip, skived thin and sewn on itself.
Dry it slowly. Next to the stove, never on it, unless you want a very expensive biscuit.
[Oars standing in the corner, stove door glowing]
v| In the morning it rings when you knock on it. Then tallow, rubbed in until your hands are the ones that are being fed.
+20
[Tallow going in with a thumb]
# wrong
The first time I glued it. Glue is a way to rot an oar where you cannot see it happen.
v| The second time I let the edges overlap, since it looked stronger, and the lump clicked against the bronze at every stroke for a year.
And I cut both leathers from one pattern, though my oars are a pair only on paper. One sock was tight and the other fell down.
[Two paper patterns, not the same]
# signoff
v| Row somewhere quiet and tell me what you can hear now that the oars have stopped talking.
[Oars working, water and nothing else]
Keep this one for a rainy week. I am.`,

  'A bailer from one board': `
# hook
Every plastic scoop I ever owned has blown off the quay and gone to live with the seals. This one is pine, it floats the right way up, and it took forty minutes.
[Wooden bailer bobbing upright beside the slip]
# need
v| One offcut as thick as your fist, as wide as your hand, as long as your forearm. Pine, poplar or willow, and no knots where the lip will be.
A gouge, a saw, a spokeshave if you have friends who lend you things. A pencil behind the ear keeps the neighbours from offering help.
[The offcut, a hand laid on it for size]
# making
Draw it from the side first: flat bottom, raked front, and a handle that grows out of the back at the angle of a handshake.
[Side drawn in pencil on the board]
v| The bottom has to be flat because your bilge is. Round scoops are for flour.
Saw out the outside but leave the block behind the handle for now. You want something to hold in the vice while you dig.
+15
v| Dig across the grain, from both ends towards the middle. The gouge takes a chip the size of a mussel, and after forty of those there is a hollow.
[Chips like mussels on the bench]
+25
Leave the walls a little finger thick. Hold it up to the lamp, and where the light comes through pink you have gone far enough.
[Lamp glowing pink through the wall]
v| Now the lip. Thin it from underneath only, so that the top edge stays straight and scrapes the plank clean.
[Spokeshave working under the lip]
Then the handle, and for the handle you shut your eyes. It should fit on a cold wet morning, when you are in a hurry and a bit afraid.
v| Bore a hole for a lanyard with a hot nail. It smells of school, and it never splits.
[Hot nail, small curl of smoke]
Oil it twice and hang it up for a night. It will turn grey in a month and then stay exactly that grey for twenty years.
+20
[Oil going dark into the grain]
# wrong
My first had the grain running up the wall. It worked until I dropped it, and then I had two.
v| My second was so handsome that nobody dared to put bilge water in it. It holds pencils.
A handle as long as a hammer's is a mistake as well, for there is a thwart above your hand. I have the knuckle to prove it.
[Knuckle meeting thwart, slowly]
# signoff
v| Send me yours, and put a coin beside it, so that I can believe the size.
[Five bailers in a row, five different hands]
If the rain holds off I will see you with something larger.`,
}
