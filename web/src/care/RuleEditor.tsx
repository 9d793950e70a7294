import { careTask } from '@olvet/core';
import { v7 } from 'uuid';
import { usePutCareRuleMutation, type CareItemView, type CareRuleDto } from '../app/api';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import { OptionalNumberField } from '../workshop/fields';

type Fields = Pick<CareRuleDto, 'everyDays' | 'everyShots' | 'everyKg'>;

/** How often the shop wants a task; what is left empty does not count. */
export function RuleEditor({ item, onClose }: { item: CareItemView | null; onClose: () => void }) {
  const [put] = usePutCareRuleMutation();
  const save = async (fields: Fields): Promise<unknown> => {
    const { rule, task, machineId, grinderId } = item!;
    const kept = rule ? withoutRow(rule) : { task, machineId, grinderId };
    const done = await put({ id: rule?.id ?? v7(), careRuleDto: { ...kept, ...fields } });
    return 'error' in done ? done.error : undefined;
  };
  const { days, shots, kg } = item?.every ?? {};
  return (
    <ResourceEditor<Fields>
      title={item ? [careTask(item.task).title, item.name].filter(Boolean).join(', ') : ''}
      initial={item && { everyDays: days, everyShots: shots, everyKg: kg }}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <p className="quiet">Whichever comes first; all empty: never due by itself.</p>
          <OptionalNumberField name="everyDays" label="Days" />
          <OptionalNumberField name="everyShots" label="Shots" />
          {item?.grinderId != null && <OptionalNumberField name="everyKg" label="Coffee ground, kg" />}
        </>
      )}
    </ResourceEditor>
  );
}
