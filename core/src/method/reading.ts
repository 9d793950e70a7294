/** What an eye or a tongue meets, what it means, and what is done about it (handbook §6, §7). */
export const READING: readonly { seen: string; means: string; act: string }[] = [
  { seen: 'Gushes, pale early, thin', means: 'too coarse, dose low or old coffee', act: 'finer; weigh the dose' },
  { seen: 'Drips, nearly black, bitter', means: 'too fine, dose high or too hot', act: 'coarser; weigh the dose' },
  { seen: 'Dark drops, then one thin curling stream', means: 'as it should be', act: 'leave it alone' },
  { seen: 'Slow, then suddenly fast', means: 'the puck gave way', act: 'prepare again; if it stays, coarser' },
  {
    seen: 'Spurts',
    means: 'a channel',
    act: 'pull again, level and tamp with care; always at one hour: the tamp leans',
  },
  { seen: 'Dead sectors, stream off centre', means: 'uneven density', act: 'distribute with more care' },
  { seen: 'Two cups of different colour', means: 'an uneven puck', act: 'prepare again; one spout first is normal' },
  { seen: 'Puck soupy', means: 'dose low for the basket: harmless', act: 'nothing, or a little more dose' },
  { seen: 'Screen printed in the puck', means: 'dose too high', act: 'less dose' },
  {
    seen: 'Sour: lemon, sides of the tongue, quick',
    means: 'too little extracted',
    act: 'as the card says, when it is off',
  },
  { seen: 'Bitter: dark chocolate, back of the tongue, long', means: 'too much extracted', act: 'as the card says' },
  { seen: 'Sour and bitter at once', means: 'a channel', act: 'prepare again, or coarser; change nothing by taste' },
  {
    seen: 'Dry, with sweet before it and a clean puck',
    means: 'a little over',
    act: 'a touch coarser, or 2–4 g less yield',
  },
  { seen: 'One shot off after good ones', means: 'chance', act: 'pull again, change nothing' },
];
