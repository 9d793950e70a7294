import { App, Button } from 'antd';
import { useForgetPalateMutation, useListPalatesQuery } from '../app/api';
import { Loading } from '../parts/Loading';
import { marksInWords, palateInWords } from '../parts/learned';
import listStyles from '../parts/List.module.css';
import { ProblemAlert } from '../parts/ProblemAlert';
import styles from './TastersTab.module.css';

/** Where each person likes a cup best; their notes are counted from there. */
export function TastersTab() {
  const { data: palates, error } = useListPalatesQuery();
  const [forget, { error: failed }] = useForgetPalateMutation();
  const { modal } = App.useApp();
  if (!palates) return <Loading error={error} />;
  const startOver = (person: string): void => {
    modal.confirm({
      title: `Start over with ${person}?`,
      content: 'Their notes stay with the shots; only their own target is learned again from the next cups.',
      okText: 'Start over',
      cancelText: 'Keep it',
      onOk: async () => {
        await forget({ person, palateDto: { forgetBefore: new Date().toISOString() } });
      },
    });
  };
  return (
    <>
      <p className={`quiet ${styles.intro}`}>
        Learned from cups that somebody both placed on the taste pad and marked, five at least. What a person calls just
        right counts as just right, and marks are read the way that person gives them.
      </p>
      <ProblemAlert error={failed} />
      {palates.length === 0 && <p>Nobody has marked five cups yet.</p>}
      <ul className={listStyles.list}>
        {palates.map((palate) => (
          <li key={palate.person} className={styles.row}>
            <h2>{palate.person}</h2>
            <p>
              {palateInWords(palate)} {marksInWords(palate)}
            </p>
            <Button onClick={() => startOver(palate.person)} aria-label={`Start over with ${palate.person}`}>
              Start over
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
