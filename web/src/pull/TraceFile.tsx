import { traceFromTable, type ReadTable, type StoredTrace } from '@olvet/core';
import { Upload, Button } from 'antd';
import Papa from 'papaparse';
import { useState } from 'react';
import { plural } from '../parts/plural';

/** Larger is no trace of a shot, bytes. */
const LARGEST_FILE = 2_000_000;

/** Brings a trace in from a file: looked at first, with what is wrong line by line; nothing is kept until it is saved. */
export function TraceFile({ onTrace }: { onTrace: (trace: StoredTrace) => void }) {
  const [read, setRead] = useState<ReadTable | null>(null);
  const take = async (file: File): Promise<void> => {
    if (file.size > LARGEST_FILE) {
      setRead({ trace: null, rows: 0, errors: [{ line: 1, message: 'the file is larger than a shot can be' }] });
      return;
    }
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: false });
    const table = traceFromTable(data);
    setRead(table);
    if (table.trace) onTrace(table.trace);
  };
  return (
    <section aria-label="From a file">
      <Upload
        accept=".csv,text/csv"
        showUploadList={false}
        beforeUpload={(file) => {
          void take(file);
          return false;
        }}
      >
        <Button>Bring one in from a CSV file</Button>
      </Upload>
      <p className="quiet small">
        Columns: seconds, grams, bar, celsius; seconds from the start, what was not measured empty.
      </p>
      {read?.trace && <p role="status">{plural(read.rows, 'reading')} read; shown above, kept once you say so.</p>}
      {read && read.errors.length > 0 && (
        <ul role="alert">
          {read.errors.map(({ line, message }) => (
            <li key={`${line} ${message}`}>
              Line {line}: {message}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
