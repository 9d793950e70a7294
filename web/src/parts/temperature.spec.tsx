import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Form } from 'antd';
import { fakeHouse, renderPage } from '../../testing/house';
import { DegreesInput } from './DegreesInput';
import { celsiusApart, celsiusOf, inUnit, shownDegrees, shownDifference } from './temperature';

describe('temperatures', () => {
  it('are what they are in °C', () => {
    expect([shownDegrees(93.25, 'C'), celsiusOf(93.3, 'C'), shownDifference(0.5, 'C'), celsiusApart(0.5, 'C')]).toEqual(
      [93.3, 93.3, 0.5, 0.5],
    );
    expect(inUnit('Hotter, 93 → 94 °C.', 'C')).toBe('Hotter, 93 → 94 °C.');
  });

  it('are read in °F where the shop does', () => {
    expect([shownDegrees(0, 'F'), shownDegrees(93, 'F'), shownDegrees(100, 'F')]).toEqual([32, 199.4, 212]);
    // A difference has no zero of its own.
    expect([shownDifference(0.5, 'F'), shownDifference(-2, 'F')]).toEqual([0.9, -3.6]);
  });

  it('come back as they were typed, whole degree by whole degree', () => {
    for (let fahrenheit = 140; fahrenheit <= 212; fahrenheit += 1) {
      expect(shownDegrees(celsiusOf(fahrenheit, 'F'), 'F')).toBe(fahrenheit);
    }
    for (const step of [0.5, 1, 2]) expect(shownDifference(celsiusApart(step, 'F'), 'F')).toBe(step);
  });

  it.each([
    ['Hotter, 93 → 94 °C.', 'Hotter, 199 → 201 °F.'],
    ['18 g in, 36 g out at 93 °C. Expect 30 s (25–34).', '18 g in, 36 g out at 199 °F. Expect 30 s (25–34).'],
    ['It starts at 88–90 °C.', 'It starts at 190–194 °F.'],
    ['92.5 °C suits a medium roast here.', '199 °F suits a medium roast here.'],
    ['Finer, 14 → 12.5: about 29 s', 'Finer, 14 → 12.5: about 29 s'],
    ['14 → 12. Then 93 °C, then 94 °C', '14 → 12. Then 199 °F, then 201 °F'],
  ])('of a sentence are turned, and nothing else: %s', (celsius, fahrenheit) => {
    expect(inUnit(celsius, 'F')).toBe(fahrenheit);
  });
});

describe('a field for degrees', () => {
  const kept = jest.fn();
  const open = (temperatureUnit: string, difference = false) => {
    fakeHouse({ '/api/shop': { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit, revision: 1 } });
    renderPage(
      <Form
        initialValues={{ heat: difference ? 0.5 : 93 }}
        onValuesChange={(_, all: { heat: number }) => kept(all.heat)}
      >
        <Form.Item name="heat" label="Heat">
          <DegreesInput difference={difference} />
        </Form.Item>
      </Form>,
    );
  };
  beforeEach(() => kept.mockClear());

  it('shows °F and keeps °C', async () => {
    open('F');
    await waitFor(() => expect(screen.getByLabelText('Heat')).toHaveValue('199.4'));
    fireEvent.change(screen.getByLabelText('Heat'), { target: { value: '200' } });
    expect(kept).toHaveBeenLastCalledWith(93.33);
    fireEvent.change(screen.getByLabelText('Heat'), { target: { value: '' } });
    expect(kept).toHaveBeenLastCalledWith(null);
  });

  it('counts a step as a step', async () => {
    open('F', true);
    await waitFor(() => expect(screen.getByLabelText('Heat')).toHaveValue('0.9'));
    fireEvent.change(screen.getByLabelText('Heat'), { target: { value: '1.8' } });
    expect(kept).toHaveBeenLastCalledWith(1);
  });

  it('leaves °C alone', () => {
    open('C');
    fireEvent.change(screen.getByLabelText('Heat'), { target: { value: '94.5' } });
    expect(kept).toHaveBeenLastCalledWith(94.5);
  });
});
