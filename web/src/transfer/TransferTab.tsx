import { InboxOutlined } from '@ant-design/icons';
import { Button, Select, Upload } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { MatchDto } from '../app/api';
import { api } from '../app/api';
import { useAppDispatch, useAppSelector } from '../app/store';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ImportPreview } from './ImportPreview';
import { MatchForm } from './MatchForm';
import { PastImports } from './PastImports';
import { sendFiles } from './sendFiles';
import { TABLE_WORDS } from './tableWords';
import styles from './TransferTab.module.css';

const FILES = Object.entries(TABLE_WORDS).filter(([name]) => name !== 'shot_traces');
const OWN_NAME = new RegExp(`^(${FILES.map(([name]) => name).join('|')})( ?\\(\\d+\\))?\\.(csv|json)$`, 'i');

/** Everything out as open files, and in again: looked at first, taken once you say so. */
export function TransferTab() {
  const [table, setTable] = useState('shots');
  const [foreign, setForeign] = useState<File | null>(null);
  const [importId, setImportId] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const [error, setError] = useState<unknown>(undefined);
  const person = useAppSelector(({ settings }) => settings.person);
  const dispatch = useAppDispatch();

  const send = async (files: readonly File[], match: MatchDto | null): Promise<void> => {
    const id = v7();
    setSending(true);
    setError(undefined);
    try {
      await sendFiles(id, files, match, person);
      dispatch(api.util.invalidateTags(['Imports', 'ImportMatches']));
      setForeign(null);
      setImportId(id);
    } catch (failed) {
      setError(failed);
    } finally {
      setSending(false);
    }
  };
  const choose = (files: readonly File[]): void => {
    setImportId(null);
    setError(undefined);
    const [first] = files;
    if (files.length === 1 && /\.(csv|txt|tsv)$/i.test(first!.name) && !OWN_NAME.test(first!.name)) setForeign(first!);
    else void send(files, null);
  };

  return (
    <div className={styles.both}>
      <section aria-labelledby="bring-in">
        <h2 id="bring-in">In</h2>
        <div className={styles.drop}>
          <Upload.Dragger
            multiple
            accept=".zip,.csv,.json,.txt,.tsv"
            showUploadList={false}
            disabled={isSending}
            beforeUpload={(file, all) => {
              if (file === all.at(-1)) choose(all);
              return false;
            }}
          >
            <p className={styles.icon}>
              <InboxOutlined />
            </p>
            <p>
              <strong>Choose a file, or drop it here</strong>
            </p>
            <p className="quiet small">
              A shop as ZIP, its tables as CSV or JSON, or anybody’s CSV of shots or coffees
            </p>
          </Upload.Dragger>
        </div>
        <p className="quiet small">Nothing changes until you have seen what it would bring.</p>
        <ProblemAlert error={error} />
        {foreign && (
          <MatchForm
            key={foreign.name + foreign.lastModified}
            file={foreign}
            isSending={isSending}
            onMatch={(match) => void send([foreign], match)}
          />
        )}
        {importId && <ImportPreview key={importId} id={importId} />}
        <PastImports />
      </section>
      <section aria-labelledby="take-out" className={styles.out}>
        <h2 id="take-out">Out</h2>
        <Button type="primary" size="large" href="/api/export/shop.zip" download="shop.zip">
          The whole shop as ZIP
        </Button>
        <p className="quiet small">
          CSV files that any spreadsheet opens, and traces. Codes of tablets and devices are not in it.
        </p>
        <h3>One table</h3>
        <p className={styles.row}>
          <Select
            aria-label="Table"
            showSearch
            className={styles.which}
            value={table}
            onChange={setTable}
            options={FILES.map(([value, label]) => ({ value, label }))}
          />
          <Button href={`/api/export/tables/${table}.csv`} download={`${table}.csv`}>
            CSV
          </Button>
          <Button href={`/api/export/tables/${table}.json`} download={`${table}.json`}>
            JSON
          </Button>
        </p>
        <h3>By itself</h3>
        <p className="quiet small">
          A backup of everything is made each night while Olvet runs; <code>npm run backup</code> makes one now,{' '}
          <code>npm run restore</code> takes one back.
        </p>
      </section>
    </div>
  );
}
