import { App, Button } from 'antd';
import { api, useListImportsQuery, useTakeBackImportMutation, type ImportView } from '../app/api';
import { useAppDispatch } from '../app/store';
import { dayAndTime } from '../parts/format';
import listStyles from '../parts/List.module.css';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { TABLE_WORDS } from './tableWords';
import styles from './TransferTab.module.css';

/** What was taken lately, each to be taken back as a whole within a day. */
export function PastImports() {
  const { data } = useListImportsQuery({ page: 1, pageSize: 20 });
  const [takeBack, { error, isLoading }] = useTakeBackImportMutation();
  const dispatch = useAppDispatch();
  const { modal } = App.useApp();
  const taken = (data?.items ?? []).filter(({ takenAt }) => takenAt !== null);
  if (taken.length === 0) return null;
  const ask = async ({ id, fileName }: ImportView): Promise<void> => {
    const since = await dispatch(
      api.endpoints.getSinceImport.initiate({ id }, { forceRefetch: true, subscribe: false }),
    );
    const edited = (since.data?.edited ?? []).map(({ table, rows }) => `${rows} of ${TABLE_WORDS[table]}`);
    modal.confirm({
      title: `Take back ${fileName}?`,
      content:
        edited.length > 0
          ? `Changed here since, and gone with it: ${edited.join(', ')}.`
          : 'All its rows go; nothing else does.',
      okText: 'Take it back',
      cancelText: 'Keep it',
      onOk: async () => {
        const done = await takeBack({ id });
        if (!done.error) dispatch(api.util.resetApiState());
      },
    });
  };
  return (
    <section className={styles.past} aria-labelledby="brought-in">
      <h2 id="brought-in">Brought in before</h2>
      <ProblemAlert error={error} />
      <ul className={listStyles.list}>
        {taken.map((row) => (
          <li key={row.id}>
            <strong>{row.fileName}</strong>
            <span className="quiet">
              {plural(
                row.tables.reduce((sum, { fresh }) => sum + fresh, 0),
                'row',
              )}
              , {row.takenBackAt ? `taken back ${dayAndTime(row.takenBackAt)}` : dayAndTime(row.takenAt!)}
            </span>
            {row.takeBackUntil && new Date(row.takeBackUntil) > new Date() && (
              <Button size="small" disabled={isLoading} onClick={() => void ask(row)}>
                Take back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
