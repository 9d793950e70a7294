import { brewRatio } from '../brew/ratio';
import type { SecondsRange, TimerStart } from '../brew/types';

/** A card as it leaves the house on its own. */
export interface CardFile {
  name: string;
  coffeeName: string;
  stationName: string;
  purpose: 'black' | 'milk';
  version: number;
  /** ISO 8601. */
  setAt: string;
  setBy: string;
  note: string;
  tastesLike: string;
  foundSeconds: number | null;
  recipe: {
    grind: number;
    grindSeconds?: number | null;
    doseGrams: number;
    yieldGrams: number;
    temperatureC?: number | null;
    soakSeconds?: number | null;
    valveGrams?: number | null;
    groupName?: string | null;
    cups?: number | null;
    timeSeconds: SecondsRange;
    timer: TimerStart;
    grinderName: string;
    machineName: string;
    basketName: string;
  };
}

const TIMED: Record<TimerStart, string> = {
  'pump-on': 'from pump on',
  'first-drip': 'from the first drip',
  'total-contact': 'of total contact',
};

/** Figures as files carry them: a point, and no more decimals than there are. */
const figure = (value: number): string => String(Math.round(value * 100) / 100);

/** Every row that a card fills, in the order one reads it. */
function rowsOf({ recipe, foundSeconds }: CardFile): [string, string][] {
  const { doseGrams, yieldGrams, timeSeconds, timer, grind, grindSeconds, temperatureC } = recipe;
  const { soakSeconds, valveGrams, groupName, cups } = recipe;
  const rows: [string, string | null][] = [
    ['Dose', `${figure(doseGrams)} g`],
    ['Yield', `${figure(yieldGrams)} g (1:${figure(brewRatio(doseGrams, yieldGrams))})`],
    ['Time', `${figure(timeSeconds.min)}–${figure(timeSeconds.max)} s ${TIMED[timer]}`],
    ['Found at', foundSeconds === null ? null : `${figure(foundSeconds)} s`],
    ['Grind', `${figure(grind)} on ${recipe.grinderName}`],
    ['Ground for', grindSeconds == null ? null : `${figure(grindSeconds)} s`],
    ['Temperature', temperatureC == null ? null : `${figure(temperatureC)} °C`],
    ['Soak', soakSeconds == null ? null : `${figure(soakSeconds)} s`],
    ['Valve in 30 s', valveGrams == null ? null : `${figure(valveGrams)} g`],
    ['Basket', recipe.basketName || null],
    ['Machine', [recipe.machineName, groupName ? `${groupName} group` : ''].filter(Boolean).join(', ') || null],
    ['Cups', cups == null ? null : figure(cups)],
  ];
  return rows.filter((row): row is [string, string] => row[1] !== null);
}

/** Nothing in a name becomes a heading, a link or another column. */
function plainText(text: string): string {
  return text.replace(/\s+/gu, ' ').replace(/[\\`*_{}[\]<>#|~]/gu, '\\$&');
}

/** A card as Markdown (CommonMark with a table). */
export function cardMarkdown(card: CardFile): string {
  const { name, coffeeName, stationName, purpose, version, setAt, setBy, note, tastesLike } = card;
  const set = [`Version ${version}`, setAt.slice(0, 10), setBy && `set by ${setBy}`, note].filter(Boolean).join(', ');
  return [
    `# ${plainText(name)}`,
    '',
    plainText(`${coffeeName} on ${stationName}, ${purpose === 'milk' ? 'with milk' : 'black'}`),
    '',
    '| | |',
    '| --- | --- |',
    ...rowsOf(card).map(([what, value]) => `| ${what} | ${plainText(value)} |`),
    '',
    ...(tastesLike ? [plainText(`Tastes like ${tastesLike}`), ''] : []),
    plainText(set),
    '',
  ].join('\n');
}

/** A card as schema.org `Recipe`, to be written as JSON-LD. */
export function cardRecipe(card: CardFile): Record<string, unknown> {
  const { name, coffeeName, version, setAt, setBy, tastesLike, foundSeconds, recipe } = card;
  const { doseGrams, yieldGrams, timeSeconds, timer, grind, soakSeconds, temperatureC } = recipe;
  const seconds = foundSeconds ?? (timeSeconds.min + timeSeconds.max) / 2;
  const steps = [
    `Grind ${figure(doseGrams)} g at ${figure(grind)} on ${recipe.grinderName}.`,
    `Dose into ${recipe.basketName || 'the basket'}, level, tamp.`,
    ...(temperatureC == null ? [] : [`Set the water to ${figure(temperatureC)} °C.`]),
    ...(soakSeconds == null ? [] : [`Soak for ${figure(soakSeconds)} s.`]),
    `Pull ${figure(yieldGrams)} g in ${figure(timeSeconds.min)} to ${figure(timeSeconds.max)} s ${TIMED[timer]}.`,
  ];
  const tools = [recipe.grinderName, recipe.machineName, recipe.basketName].filter(Boolean);
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name,
    ...(tastesLike ? { description: tastesLike } : {}),
    ...(setBy ? { author: { '@type': 'Person', name: setBy } } : {}),
    ...{ datePublished: setAt, version, recipeCategory: 'Espresso', recipeYield: `${figure(yieldGrams)} g` },
    cookTime: `PT${figure(seconds)}S`,
    recipeIngredient: [`${figure(doseGrams)} g ${coffeeName}`],
    tool: tools.map((each) => ({ '@type': 'HowToTool', name: each })),
    recipeInstructions: steps.map((text) => ({ '@type': 'HowToStep', text })),
    additionalProperty: rowsOf(card).map(([what, value]) => ({ '@type': 'PropertyValue', name: what, value })),
  };
}
