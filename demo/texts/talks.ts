/** Scripts of talks, and the questions of five of them, written by hand. */
export const talkTexts: Readonly<Record<string, string>> = {
  'The ferry pilot, with Ines Varga': `
# opening
Ines Varga has crossed this river about ninety thousand times and says she has never made the same crossing twice. We are in her wheelhouse, it is ten to six, and the deck hand is salting the ramp.
You will hear the engine under all of this. She asked us not to cut it out, since it is the third person in the room.
# work
Ines, you looked at the bridge pier before you looked at me. What does it tell you?
So that line of weed is where the water will be in an hour, and you steer for there and not for the slip.
How long did it take until your hands knew the flood from the ebb before your head did?
Two winters, she says, and she holds up the two fingers without letting go of the wheel.
And with thirty cars on board, when do you begin to stop?
# story
Everyone on the quay says I must ask about the morning with the barge.
It was fog, and it was the spring ebb, and the barge had no business being out at all.
At what moment did you understand that it was drifting and not waiting?
She says it was the ducks: they were sitting on something that moved.
You turned upstream, away from the landing, with an ambulance on the deck. What did the driver say?
He said nothing, it seems, and afterwards he brought her a cake every November.
# questions
A listener from Saltmarsh asks whether you ever go across on your day off.
Marta wants to know what a pilot is afraid of, if it is not fog.
Somebody who is nine years old asks who steers while you drink your coffee.
Is it true that you can tell the drivers from the far bank by how they brake on the ramp?
What would you take with you from this wheelhouse if they built the bridge after all?
# close
She would take the brass handle, because it is worn to her and would fit nobody else.
It is seven minutes past six, the first cars are off, and Ines Varga is already looking at the pier again.`,

  'The lock at low water': `
# opening
At low water the lock keeper can walk through his own lock in boots, and once a month he does. We went with him, and we whispered, since a lock with no water in it is a sort of church.
# work
What do you look at first when the gates stand dry?
He runs a thumb down the meeting edges. Greenheart, he says, ninety years old, and he can feel last week's timber barge in it.
Who swept the sill before you, and did they leave you the broom?
The windlass turns twice round for a hand's breadth of gate, and he lets us try, and we are not asked again.
# story
Tell us about the winter when it would not close.
There was a bicycle in it. There was always going to be a bicycle in it, he says, from the day they painted the railing.
Who went down for it, in January, at night?
His wife held the lamp, and the mayor held the rope, and nobody has ever said who owned the bicycle.
# questions
Somebody asks if fish use the lock, and whether they wait their turn.
What is the politest thing a skipper has ever shouted at you?
Do you hear it in your sleep when a paddle leaks?
A rower wants to know how small a boat you would open for.
Where do you stand when you want nobody to find you?
# close
He stands where we are standing now. The tide turned while he said it, and we climbed out with wet socks and went to look for breakfast.`,

  'Salt in the bearings': `
# questions
Which sound tells you that a bearing has a week left, and which says an hour?
Lena asks if grease is a thing one can have favourites among.
What is the oldest part on that engine that has never been touched?
Do you talk to it, and does it matter what you say?
When the apprentice asks why, do you answer or do you hand over the spanner?`,

  'Crabs do not keep office hours': `
# questions
How do you explain to a bank that your working day begins with the moon?
Is there a crab you have put back so often that you know it?
A cook from upriver would like to hear what we all do wrong with the pot.
What do you wear under the oilskins, since four people have written to ask?
If the river were clean tomorrow, would there be more of them or fewer?`,

  'How to board a moving ship': `
# questions
Which foot goes first, and has that ever been the wrong answer?
What do you carry in your pockets, and what have you learnt to leave ashore?
Jonas asks how a pilot gets off again, as nobody seems to film that part.
Have you ever looked up the ladder and decided no?
Does the captain shake your hand before he gives you the wheel, or after?`,
}
