import { expect, type Page } from '@playwright/test';
import {
  createRandom,
  PLAIN_WORLD,
  pullShot,
  STEADY_BARISTA,
  type BrewSettings,
  type PulledShot,
  type PuckWorld,
  type Random,
} from '../core/src/index';

/** A barista at the page: reads the next column, pulls that shot in the simulator, writes down what came. */
export class Barista {
  private readonly random: Random;
  private previousGrind: number | null = null;

  constructor(
    private readonly page: Page,
    seed: string,
    private readonly world: PuckWorld = PLAIN_WORLD,
  ) {
    this.random = createRandom(seed);
  }

  /** The next shot as the sheet's right-hand column shows it. */
  async nextSettings(): Promise<BrewSettings> {
    const read = async (name: string): Promise<number | null> => {
      const cell = this.page.getByRole('spinbutton', { name: `Next ${name}`, exact: true });
      if ((await cell.count()) === 0) return null;
      return Number(await cell.getAttribute('aria-valuetext'));
    };
    return {
      grind: (await read('grind'))!,
      doseGrams: (await read('dose g'))!,
      yieldGrams: (await read('yield g'))!,
      temperatureC: (await read('temp °C')) ?? 93,
    };
  }

  pull(settings: BrewSettings): PulledShot {
    const shot = pullShot({
      world: this.world,
      settings,
      barista: { ...STEADY_BARISTA, channelChance: 0, unpurgedChance: 0 },
      previousGrind: this.previousGrind,
      random: this.random,
    });
    this.previousGrind = settings.grind;
    return shot;
  }
}

/** The shot in shorthand, as one would write it. */
export function inShorthand(shot: PulledShot): string {
  const { balance, body } = shot.taste;
  const strength = (size: number): string => (size >= 2 ? 'very ' : size <= 0.5 ? 'bit ' : '');
  const words = [
    balance === 0 ? 'balanced' : `${strength(Math.abs(balance))}${balance < 0 ? 'sour' : 'bitter'}`,
    body === 0 ? 'round' : `${strength(Math.abs(body))}${body < 0 ? 'thin' : 'heavy'}`,
  ];
  return `${shot.doseGrams} > ${shot.yieldGrams} in ${shot.pumpOnSeconds} ${words.join(' ')}`;
}

/** Number of poured shots on the sheet. */
export async function shotCount(page: Page): Promise<number> {
  return page.getByRole('button', { name: /^Shot \d/ }).count();
}

/** Writes a line, sees it said back, saves it, and waits until it stands on the sheet. */
export async function writeShot(page: Page, line: string): Promise<void> {
  const before = await shotCount(page);
  const input = page.getByLabel('Shot in one line');
  await input.fill(line);
  await expect(page.locator('#shot-line-echo')).toContainText(/\d s/);
  await input.press('Enter');
  await expect(page.getByRole('button', { name: /^Shot \d/ })).toHaveCount(before + 1);
}

/** Gives the dial-in up, and sees the question go and the sheet close. */
export async function giveUp(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Give up' }).click();
  const dialog = page.getByRole('dialog', { name: 'Give this dial-in up?' });
  await dialog.getByRole('button', { name: 'Give up' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText('This dial-in was given up.')).toBeVisible();
}
