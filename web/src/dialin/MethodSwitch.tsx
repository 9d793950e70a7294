import type { Method } from '@olvet/core';
import { Select } from 'antd';
import { usePutRunMutation, type RunDto, type SheetView } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useMethods } from '../parts/useMethods';
import { withoutRow } from '../parts/withoutRow';
import { ORDER_WORDS } from '../methods/methodWords';

/** Another method in the middle of a run: its window and clock come with it, dose, yield and the shots stay. */
export function MethodSwitch({ sheet }: { sheet: SheetView }) {
  const { run } = sheet;
  const methods = useMethods();
  const [putRun, { isLoading, error }] = usePutRunMutation();
  const now = methods.find(run.methodId);
  if (run.status !== 'open') return <span>{now && methodInWords(now)}</span>;
  // One that was retired meanwhile still has its name here.
  const offered = now && methods.all.every(({ id }) => id !== now.id) ? [...methods.all, now] : methods.all;
  const change = (methodId: RunDto['methodId']): void => {
    const { windowSeconds, timer } = methods.find(methodId)!;
    const target = { ...run.target, timeSeconds: windowSeconds, timer };
    void putRun({ id: run.id, runDto: { ...withoutRow(run), methodId, target } });
  };
  return (
    <>
      <Select
        aria-label="Method"
        variant="borderless"
        size="small"
        popupMatchSelectWidth={false}
        value={run.methodId}
        loading={isLoading}
        options={offered.map((method) => ({ value: method.id, label: methodInWords(method) }))}
        onChange={change}
      />
      <ProblemAlert error={error} />
    </>
  );
}

/** With how its order is taken, where that is not by the book. */
function methodInWords({ name, order = 'by-the-book' }: Pick<Method, 'name' | 'order'>): string {
  return order === 'by-the-book' ? name : `${name}, ${ORDER_WORDS[order].name}`;
}
