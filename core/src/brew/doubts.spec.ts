import { doubtsOf } from './doubts';

const AIM = { grind: 13.5, doseGrams: 18, yieldGrams: 36, timeSeconds: 30 };
const BASKET = { minGrams: 16, maxGrams: 20 };
const doubts = (said: object) => doubtsOf(said, AIM, BASKET).map(({ figure, likely }) => [figure, likely]);

describe('doubts', () => {
  it.each([
    [{ grind: 135 }, [['grind', 13.5]]],
    [{ yieldGrams: 360 }, [['yieldGrams', 36]]],
    [{ doseGrams: 1.8 }, [['doseGrams', 18]]],
    [{ timeSeconds: 2.7 }, [['timeSeconds', 27]]],
    [{ doseGrams: 20.5 }, [['doseGrams', null]]],
    [
      { doseGrams: 15.5, timeSeconds: 280 },
      [
        ['doseGrams', null],
        ['timeSeconds', 28],
      ],
    ],
  ])('are raised by %j', (said, expected) => {
    expect(doubts(said)).toEqual(expected);
  });

  it.each([
    [{ grind: 9, doseGrams: 18.2, yieldGrams: 41, timeSeconds: 17 }],
    [{ timeSeconds: 900 }],
    [{ doseGrams: 20.2 }],
    [{ doseGrams: null }],
    [{}],
  ])('are not raised by %j', (said) => {
    expect(doubts(said)).toEqual([]);
  });

  it('leave a scale through zero alone', () => {
    expect(doubtsOf({ grind: -5 }, { ...AIM, grind: -0.5 }, BASKET)).toEqual([]);
  });
});
