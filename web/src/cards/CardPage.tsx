import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import { useGetCardQuery, usePutPrintedMutation } from '../app/api';
import { Loading } from '../parts/Loading';
import { day } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { CardDrinks } from '../drinks/CardDrinks';
import styles from './CardPage.module.css';
import { CardSheet } from './CardSheet';
import { Proposals } from './Proposals';
import { versionChanges } from './versionChanges';

/** One recipe, to be read at arm's length; below it, every version before. */
export function CardPage() {
  const { cardId } = useParams<'cardId'>();
  const { currentData: card, error } = useGetCardQuery({ id: cardId! });
  const unit = useTemperatureUnit();
  const [putPrinted] = usePutPrintedMutation();
  if (!card) {
    return (
      <Loading className={styles.page} error={error}>
        <Link to="/cards">To all cards</Link>
      </Loading>
    );
  }
  // What hangs on the wall is known by what was printed; that it could not be told keeps nobody from printing.
  const print = async (): Promise<void> => {
    await putPrinted({ id: card.id, printedDto: { version } });
    window.print();
  };
  const { version } = card.latest;
  return (
    <article className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>{card.name}</h1>
          <p className="quiet">
            {card.coffeeName} on {card.stationName} · {card.purpose === 'milk' ? 'with milk' : 'black'}
          </p>
        </div>
        <Button className={styles.noPrint} onClick={() => void print()}>
          Print
        </Button>
      </header>
      <CardSheet card={card} />
      <Proposals card={card} />
      <CardDrinks card={card} />
      <p className={styles.noPrint}>
        As a file:{' '}
        <a href={`/api/export/cards/${card.id}.md`} download>
          Markdown
        </a>
        {', '}
        <a href={`/api/export/cards/${card.id}.jsonld`} download>
          schema.org Recipe
        </a>
      </p>
      <section className={styles.versions}>
        <h2>Versions</h2>
        <ol>
          {card.versions.map((each, i) => (
            <li key={each.id}>
              <span className="numeral">{each.version}</span>
              <span>{day(each.createdAt)}</span>
              <span>{versionChanges(each, card.versions[i + 1], unit).join(', ')}</span>
              <span className="quiet">
                {each.setBy}
                {each.note && ` · ${each.note}`}
              </span>
              {each.runId && <Link to={`/dial-in/${each.runId}`}>its dial-in</Link>}
            </li>
          ))}
        </ol>
      </section>
    </article>
  );
}
