import {
  changedParts,
  plainNumber,
  PREPARATION,
  PREPARATION_PARTS,
  type Preparation,
  type PuckComparison,
} from '@olvet/core';
import { Button, Form, Input, Radio } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useGetPreparedQuery, usePutPreparationMutation, type PreparedView } from '../app/api';
import { day } from '../parts/format';
import { plural } from '../parts/plural';
import { ResourceEditor } from '../parts/ResourceEditor';
import styles from './Prepared.module.css';
import { PART_WORDS, partInWords, wayInWords } from './preparedWords';

const COMPARED: Record<PuckComparison, string> = {
  steadier: 'steadier than the way before',
  'less-steady': 'less steady than the way before',
  alike: 'no clear difference to the way before',
  unknown: '',
};

/** How pucks are made here, since when, and how evenly each way poured. */
export function Prepared({ stationId }: { stationId: string }) {
  const { currentData: ways } = useGetPreparedQuery({ id: stationId });
  const [editing, edit] = useState<string | null>(null);
  if (!ways) return null;
  const [now] = ways;
  return (
    <section aria-labelledby="prepared" className={styles.prepared}>
      <h2 id="prepared">How the puck is made</h2>
      {!now && <p className="quiet">Nobody has said yet. Say it once; from then on each change is compared.</p>}
      <ul>
        {ways.map((way) => (
          <Way key={way.preparation.id} way={way} />
        ))}
      </ul>
      <Button onClick={() => edit(v7())}>{now ? 'Changed' : 'Say how'}</Button>
      <ChangeEditor
        stationId={stationId}
        id={editing}
        before={now ? now.preparation : null}
        onClose={() => edit(null)}
      />
    </section>
  );
}

function Way({ way: { preparation, changed, shots, spread, looked, uneven, comparison } }: { way: PreparedView }) {
  return (
    <li>
      <span>{day(preparation.at)}</span>
      <span>
        {changed.length > 0 ? (
          <strong>{changed.map((part) => partInWords(part, preparation[part])).join(', ')}</strong>
        ) : (
          wayInWords(preparation)
        )}
        {preparation.note && <span className="quiet"> · {preparation.note}</span>}
      </span>
      <span className="quiet">
        {plural(shots, 'shot')}
        {spread !== null && `, single shots ±${plainNumber(spread * 100, 1)} %`}
        {looked > 0 && `, uneven ${uneven} of ${looked} looked at`}
        {COMPARED[comparison] && <strong> {COMPARED[comparison]}</strong>}
      </span>
    </li>
  );
}

type Fields = Preparation & { note: string };

function ChangeEditor({
  stationId,
  id,
  before,
  onClose,
}: {
  stationId: string;
  id: string | null;
  before: Preparation | null;
  onClose: () => void;
}) {
  const [put] = usePutPreparationMutation();
  const save = async (fields: Fields): Promise<unknown> => {
    if (before && changedParts(fields, before).length === 0) {
      return {
        status: 422,
        data: { detail: 'Nothing is changed yet: choose what is done in another way.', errors: [] },
      };
    }
    const done = await put({ id: id!, preparationDto: { ...fields, stationId, at: new Date().toISOString() } });
    return 'error' in done ? done.error : undefined;
  };
  const partsOf = (from: Preparation): Preparation =>
    Object.fromEntries(PREPARATION_PARTS.map((part) => [part, from[part]])) as unknown as Preparation;
  return (
    <ResourceEditor<Fields>
      title="From now on"
      initial={id === null ? null : { ...(before ? partsOf(before) : {}), note: '' }}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          {PREPARATION_PARTS.map((part) => (
            <Form.Item
              key={part}
              name={part}
              label={PART_WORDS[part]}
              rules={[{ required: true, message: 'Say how it is done' }]}
            >
              <Radio.Group
                optionType="button"
                buttonStyle="solid"
                options={PREPARATION[part].map((value) => ({
                  value,
                  label: value === 'no' || value === 'yes' ? value : partInWords(part, value),
                }))}
              />
            </Form.Item>
          ))}
          <Form.Item noStyle shouldUpdate>
            {({ getFieldsValue }) =>
              before && changedParts(getFieldsValue() as Preparation, before).length > 1 ? (
                <p role="note">
                  <strong>More than one thing at once:</strong> nobody will know which of them did it.
                </p>
              ) : null
            }
          </Form.Item>
          <p className="quiet">Tamp on a mat with a straight wrist, not on the spouts: strain adds up.</p>
          <Form.Item name="note" label="Note">
            <Input maxLength={400} />
          </Form.Item>
        </>
      )}
    </ResourceEditor>
  );
}
