import { answer, METHODS, type Advice, type AdviceRequest, type Order } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Partial<AdviceRequest>): Advice => answer(everydayRequest(change)) as Advice;

describe('the dial', () => {
  const fast = { shots: [everydayShot({ timeSeconds: 19, taste: { balance: -1.5, body: -1 } })] };
  const own = (order: Order) => ({ ...METHODS.find(({ id }) => id === 'balance-walk')!, order });

  it('stands by the book where nobody says otherwise', () => {
    expect(ask({ ...fast, order: 'by-the-book' })).toEqual(ask(fast));
  });

  const sour = {
    shots: [everydayShot({ timeSeconds: 29, taste: { balance: -1.5, body: 0, sweetness: 5, overall: 5 } })],
  };
  const turned = (change: Partial<AdviceRequest>): string[] =>
    ask({ ...sour, ...change }).changed.map(({ variable }) => variable);

  it('turns what promises most, or the method’s first lever', () => {
    expect(turned({ order: 'by-the-book' })).toEqual(['grind']);
    expect(turned({ order: 'fewest-shots' })).toEqual(['yieldGrams']);
  });

  it('is set by the method, and by the request before it', () => {
    expect(turned({ method: own('fewest-shots') })).toEqual(['yieldGrams']);
    expect(turned({ method: own('fewest-shots'), order: 'by-the-book' })).toEqual(['grind']);
  });

  it('brings the time back by grind at either end', () => {
    for (const order of ['by-the-book', 'fewest-shots'] as const) {
      const { changed } = ask({ ...fast, order });
      expect(changed.map(({ variable }) => variable)).toEqual(['grind']);
    }
  });

  it('refuses any other word', () => {
    expect(answer({ ...everydayRequest(fast), order: 'cheapest' } as never)).toMatchObject({
      errors: [{ path: 'order' }],
    });
  });
});
