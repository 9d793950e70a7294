import type { ShotLine } from '@olvet/core';
import { act, fireEvent, screen } from '@testing-library/react';
import { fakeHouse, renderPage } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import type { SheetView } from '../app/api';
import { sheetSubject } from '../dialin/sheetSubject';
import { PullPanel } from './PullPanel';

const aim = { grind: 12.5, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

function open(change: { sheet?: SheetView; grindChanged?: boolean; unit?: string } = {}) {
  const { sheet = weighed(), grindChanged = false, unit = 'C' } = change;
  fakeHouse({ '/api/shop': { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit: unit, revision: 1 } });
  const onShot = jest.fn((_line: ShotLine) => Promise.resolve(true));
  const onBack = jest.fn();
  const subject = { ...sheetSubject(sheet, aim), purgeGrams: grindChanged ? 12 : null };
  const picture = document.body.appendChild(document.createElement('div'));
  const taken = (_id: string, line: ShotLine): Promise<boolean> => onShot(line);
  renderPage(
    <PullPanel
      subject={subject}
      picture={picture}
      aside={null}
      saving={false}
      onShot={taken}
      onBack={onBack}
      onLost={() => {}}
    />,
  );
  return { onShot, onBack };
}
/** A grinder that is weighed by hand, so that no grinding time is asked for. */
function weighed(change: Partial<SheetView> = {}): SheetView {
  const sheet = sheetView([], change);
  return { ...sheet, grinder: { ...sheet.grinder, dosing: 'weighed' } };
}
const save = () => screen.getByRole('button', { name: /Save shot/ });
const press = (key: string) => fireEvent.keyDown(document.body, { key });

describe('pulling a shot', () => {
  it('shows what to set, large and whole', () => {
    open();
    expect(screen.getByText(/18 → 36 g · 93 °C · 27–33 s/)).toHaveTextContent('Grind 12.5');
    expect(screen.getByText('Cup and hands clear of the spout. Never unlock under pressure.')).toBeInTheDocument();
  });

  it('shows the temperature in the shop’s unit', async () => {
    open({ unit: 'F' });
    expect(await screen.findByText(/36 g · 199 °F/)).toBeInTheDocument();
  });

  it('says where doses are struck level', () => {
    open({ sheet: weighed({ hasScale: false }) });
    expect(screen.getByText(/struck level/)).toBeInTheDocument();
  });

  it('asks for the purge only where the grind was changed, and takes no for an answer', () => {
    const { onShot } = open({ grindChanged: true });
    fireEvent.click(screen.getByRole('checkbox', { name: 'Purged (12 g)' }));
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith(expect.objectContaining({ purged: false }));
  });

  it('does not ask for a purge that nobody needs', () => {
    const { onShot } = open();
    expect(screen.queryByRole('checkbox')).not.toBeInTheDocument();
    fireEvent.change(screen.getByLabelText(/^time/, { selector: 'input' }), { target: { value: '29' } });
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith({ timeSeconds: 29, seen: [], purged: true });
  });

  it('has nothing to save until something was said of this shot', () => {
    const { onShot } = open();
    expect(save()).toBeDisabled();
    press('Enter');
    expect(onShot).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: 'gushed' }));
    expect(save()).toBeEnabled();
  });

  it('takes a figure as planned at one tap, and the rest at one more, but never the time', () => {
    const { onShot } = open();
    const dose = screen.getByLabelText(/^dose/, { selector: 'input' });
    expect([dose.getAttribute('placeholder'), dose.getAttribute('value')]).toEqual(['18', '']);
    fireEvent.change(dose, { target: { value: '18.3' } });
    expect(screen.getByRole('button', { name: 'dose as planned' })).toBeDisabled();
    fireEvent.click(screen.getByRole('button', { name: 'The rest as planned' }));
    expect(screen.getByRole('button', { name: 'yield as planned' })).toHaveAttribute('aria-pressed', 'true');
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith({ doseGrams: 18.3, assumed: ['yieldGrams'], seen: [], purged: true });
  });

  it('reads a glass in millilitres where there is no scale', () => {
    const { onShot } = open({ sheet: weighed({ hasScale: false }) });
    fireEvent.change(screen.getByLabelText(/^yield ml/, { selector: 'input' }), { target: { value: '50' } });
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith(expect.objectContaining({ yieldMl: 50 }));
  });

  it('may have been poured earlier', () => {
    const { onShot } = open();
    fireEvent.click(screen.getByRole('button', { name: 'Poured earlier' }));
    fireEvent.change(screen.getByLabelText('poured at'), { target: { value: '08:12' } });
    fireEvent.change(screen.getByLabelText(/^time/, { selector: 'input' }), { target: { value: '29' } });
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith(expect.objectContaining({ hour: '08:12', timeSeconds: 29 }));
  });

  it('takes what was seen, and takes it back', () => {
    const { onShot } = open();
    for (const sign of ['spurts', 'gushed', 'spurts']) fireEvent.click(screen.getByRole('button', { name: sign }));
    fireEvent.click(save());
    expect(onShot).toHaveBeenCalledWith(expect.objectContaining({ seen: [{ sign: 'gushing' }] }));
  });

  it('goes back on Escape without saving', () => {
    const { onShot, onBack } = open();
    press('Escape');
    expect(onBack).toHaveBeenCalled();
    expect(onShot).not.toHaveBeenCalled();
  });

  describe('by the timer', () => {
    beforeEach(() => jest.useFakeTimers());
    afterEach(() => jest.useRealTimers());
    const pass = (ms: number) => act(() => jest.advanceTimersByTime(ms));

    it('runs and stops on the space bar, and hands its tenths to the time', () => {
      const { onShot } = open();
      press(' ');
      expect(screen.getByRole('button', { name: /^Stop/ })).toBeInTheDocument();
      expect(screen.queryByRole('button', { name: /Save shot/ })).not.toBeInTheDocument();
      pass(12_340);
      expect(screen.getByRole('timer')).toHaveTextContent(/^12\.3$/);
      pass(16_000);
      press(' ');
      expect(screen.getByLabelText(/^time/, { selector: 'input' })).toHaveValue('28.3');
      press('Enter');
      expect(onShot).toHaveBeenCalledWith(expect.objectContaining({ timeSeconds: 28.3 }));
    });

    it('saves nothing while it runs', () => {
      const { onShot } = open();
      press(' ');
      pass(5000);
      press('Enter');
      expect(onShot).not.toHaveBeenCalled();
    });

    it('is not left by a slip while water runs', () => {
      const { onBack } = open();
      press(' ');
      pass(5000);
      press('Escape');
      expect(onBack).not.toHaveBeenCalled();
      press(' ');
      press('Escape');
      expect(onBack).toHaveBeenCalled();
    });

    it('begins at zero when it is started again', () => {
      open();
      press(' ');
      pass(9000);
      press(' ');
      press(' ');
      expect(screen.getByRole('timer')).toHaveTextContent(/^0\.0$/);
      pass(2000);
      press(' ');
      expect(screen.getByLabelText(/^time/, { selector: 'input' })).toHaveValue('2.0');
    });
  });
});
