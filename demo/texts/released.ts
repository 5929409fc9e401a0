/** Scripts of what was released last, written by hand. */
export const releasedTexts: Readonly<Record<string, string>> = {
  'Planing by eye': `
# hook
I own three straight edges, and none of them has ever made me a straight plank. The one that did is the pair I was born with.
[Eye close to a plank edge]
# need
v| A try plane as long as your arm, sharp enough to worry about, and a window to the north. Electric light flattens everything, including the things that are not flat.
Put the plank on its edge at the height of your belt. Higher than that you steer with the shoulders, and shoulders have opinions.
[Plank in the vice, belt beside it]
# making
v| Shut one eye and look from the end. You are not looking at the wood, you are looking at the line between wood and window.
[The edge against the sky, a hump in the middle]
There is always a hump. It sits a third of the way along, because that is where everybody stops to breathe.
Mark it with two pencil ticks, and plane only between them. Three strokes, no more, and then go back to the end and look.
+30
v| A hollow is harder to see, so turn the plank over in your mind: look for the two hills on either side of it.
[Two hills pencilled on the edge]
When light runs from one end to the other without stumbling, the plane will sing one note all the way down. Mine is somewhere near a D.
+25
[Shaving coming off in one piece, whole length]
v| Then comes the bevel, and that is the same thing with your head on one side. Lay a finger on the plane as a fence, and feel the angle instead of measuring it.
Check with the next plank, not with a square. The square has never been to sea.
[Two edges meeting, no light between]
# wrong
I used to take one last stroke for luck. Luck takes off a tenth of a millimetre and wants it always from the same place.
v| I also planed in the evening. By lamplight I made eleven straight edges, and by breakfast I had four.
[Morning, the ruler laid on, daylight under it]
# signoff
v| Try it on something that does not matter, and write to me about the hump.
[Shavings swept into the stove]
Next Thursday oak gets wet and does as it is told.`,

  'Choosing larch at the mill': `
# hook
The man at the mill says this is his best board. I am going to leave it exactly where it is, and he is going to be polite about it.
[A beautiful board, left in the rack]
# need
v| Bring a moisture meter, a block plane, a bottle of water, and enough time to be offered coffee. A person in a hurry gets the boards from the top.
Know your lengths before you go, with a foot to spare on each. I write mine on my forearm, where the sawdust cannot hide them.
[Lengths in pencil on a forearm]
# making
Start with the end grain. I want rings like the pages of a hymn book, twenty to the inch, and I want the heart to be somewhere else.
[End grain counted with a pencil]
v| Wide rings mean a tree that had it easy. Larch that had it easy is soft, and it drinks.
Now tip the board up and look along it, both ways. Bow I can live with, twist I cannot, because a plank will bend into one curve but never into two.
[Board tipped up, twist plain to see]
+20
v| The plane takes one stroke, and I wet what is under it. Water shows the grain the way rain shows you a road.
[Wet stroke across the grain]
Sapwood is the pale edge, and it is the part the worm reads first. I pay for it, take it home, and plane it off.
v| Knots I sort into three heaps: live, dead, and falling out tomorrow. A live knot is the size of a shirt button and rings when you tap it.
[Knuckle on a knot, then on the one beside it]
The meter says eighteen in the hundred. I push it into the end and it says twenty-six, and the coffee goes cold while we discuss this.
[Meter in the face, meter in the end]
+15
v| Between twenty and twenty-five is right for a hull that lives in the river. Anything drier swells until it pushes the seams apart.
# wrong
My first load was dry, cheap and delivered. It stood in the shed all summer, and in autumn every board had turned to look at the door.
v| I once let them choose for me over the telephone. They chose very well, for themselves.
[The propeller board, hung on the wall]
# cost
v| Nine boards cost me a month of ferry shifts. The tenth they gave me because I swept up.
+5
# signoff
If you live where there is no larch, tell me what your grandfather used. I collect the answers in a tin.
[Boards on the roof rack, road going by]`,

  'A tiller from one branch': `
# hook
I cut this out of a hedge on a Tuesday with the farmer's leave and a bread saw. By Saturday it was steering.
[Crooked branch beside the finished tiller]
# need
v| An ash branch with the bend already in it, a drawknife, a rasp, and a picture in your head of where your hand will be when it is tired.
Walk along the hedge in winter. Leaves hide the good crooks, and birds object less.
[Hedge in January, breath in the air]
# making
Hold the branch in the rudder head and sit down. It looks absurd, and you will know within a minute whether the bend is yours.
[Sitting in the boat on the trestles, branch in hand]
v| Seal both ends with candle wax the day you cut it. A branch loses its water from the ends first, and splits there out of impatience.
The bark comes off with the drawknife towards the knee. Stop each time the grain changes its mind and come at it from the far side.
+30
[Drawknife stopping at a swirl of grain]
v| I leave it thick for a month in the loft, above the stove pipe, and visit it on Sundays.
Then the square end, because the rudder head is square and has no sense of humour. Four saw cuts, four chisel cuts, tap, look, tap.
[Square end fitted, one tap at a time]
v| From there to the hand it goes from square to eight sides to something like a wrist. The grain does the drawing; I only take away what it does not need.
+25
[Rasp dust in a line of sun]
My thumb wanted a hollow, so it got one. Yours will want it in another place.
v| Three coats of oil and none of varnish. A tiller gets polished by being held, and this one has forty years to go.
[Palm moving over the oiled wood]
# wrong
I took the first branch for its beauty, and it was a hand too short. Beauty has no length, as it turns out.
v| Then I dried it on the radiator. It cracked with the noise of a small gun, and the cat has not forgiven me.
[The crack, a coin standing in it]
# signoff
v| If you find a crook that is no use to you, leave it by my gate. I have seen the hedge.
[Tiller in place, tide coming in]`,
}
