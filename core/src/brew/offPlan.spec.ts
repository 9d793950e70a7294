import { offPlan } from './offPlan';

const planned = { doseGrams: 18, yieldGrams: 38 };

it('asks about dose and yield more than 8 % off their plan, and about nothing that was not said', () => {
  expect(offPlan({ doseGrams: 18.2, yieldGrams: 47 }, planned)).toEqual([
    { figure: 'yieldGrams', said: 47, planned: 38 },
  ]);
  expect(offPlan({ doseGrams: 16.5, yieldGrams: 35 }, planned).map(({ figure }) => figure)).toEqual(['doseGrams']);
  expect(offPlan({ doseGrams: 16.57, yieldGrams: 41 }, planned)).toEqual([]);
  expect(offPlan({ yieldGrams: null }, planned)).toEqual([]);
});
