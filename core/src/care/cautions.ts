/** What can hurt, on one page; the maker's manual, local rules and licensed trades win (handbook §13). */
export const CAUTIONS: readonly { what: string; how: string }[] = [
  { what: 'Heat', how: 'Steam, group and spent puck burn: cups and hands clear when flushing. Hot glass cracks.' },
  { what: 'Pressure', how: 'Never open the portafilter under pressure: stop the pump, wait for it to drop.' },
  {
    what: 'Burrs',
    how: 'Finer only while they turn. Locked or humming: switch off, go coarser, unplug before reaching in.',
  },
  { what: 'Detergent', how: 'Gloves. Mark the machine out of service. Rinse twice, then discard one shot.' },
  { what: 'Tamping', how: 'On a mat, wrist straight, not on the spouts: strain adds up.' },
  { what: 'Automatic tampers', how: 'A tapered basket with a wrong dose can jam them: weigh first.' },
  {
    what: 'Caffeine',
    how: 'Sip and spit when tasting. About 60–80 mg a full single; adults are commonly advised to stay near 400 mg a day, less when pregnant. Local health advice wins.',
  },
  {
    what: 'Milk and nuts',
    how: 'Keep jugs and cloths apart, say what is in the cup. Local rules on hygiene and allergens win.',
  },
  { what: 'Electricity, boiler, gas', how: 'For a licensed technician only.' },
];
