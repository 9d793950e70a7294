import { App, Button } from 'antd';
import { useGetDoorQuery, useLetOutTabletMutation, useListTabletsQuery } from '../app/api';
import { dayAndTime } from '../parts/format';
import { Loading } from '../parts/Loading';
import listStyles from '../parts/List.module.css';
import { ProblemAlert } from '../parts/ProblemAlert';
import styles from './TabletsTab.module.css';

/** Which devices of the shop's network are in, and the code for the next. */
export function TabletsTab() {
  const { data: door, error } = useGetDoorQuery(undefined, { refetchOnMountOrArgChange: true });
  const { data: tablets } = useListTabletsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [letOut, { error: failed }] = useLetOutTabletMutation();
  const { modal } = App.useApp();
  if (!door || !tablets) return <Loading error={error} />;
  const ask = (id: string, name: string): void => {
    modal.confirm({
      title: `Let ${name} out?`,
      content: 'It asks for a code before it shows anything again. What was written on it stays.',
      okText: 'Let it out',
      cancelText: 'Cancel',
      onOk: async () => {
        await letOut({ id });
      },
    });
  };
  return (
    <>
      {door.code === null ? (
        <p className="quiet">
          Olvet answers this machine only. To use it on tablets of the shop’s network, stop it and start it with{' '}
          <code>npm start -- --network</code>.
        </p>
      ) : (
        <section className={styles.code} aria-label="Let a tablet in">
          <p className="numeral">{door.code.replace(/(...)(...)/, '$1 $2')}</p>
          <p>
            Open {door.addresses.join(' or ')} on the tablet and type this code. It lets in one tablet; then there is
            another.
          </p>
        </section>
      )}
      <ProblemAlert error={failed} />
      <ul className={listStyles.list}>
        {tablets.map(({ id, name, letInAt, seenAt }) => (
          <li key={id} className={styles.row}>
            <strong>{name}</strong>
            <span className="quiet">
              let in {dayAndTime(letInAt)}, last seen {dayAndTime(seenAt)}
            </span>
            <Button onClick={() => ask(id, name)} aria-label={`Let ${name} out`}>
              Let out
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
