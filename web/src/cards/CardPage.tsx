import { brewRatio, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import { useGetCardQuery, usePutPrintedMutation } from '../app/api';
import { Loading } from '../parts/Loading';
import { day, dayAndTime, temperatureNumber, TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { CardDrinks } from '../drinks/CardDrinks';
import styles from './CardPage.module.css';
import { FoundTime } from './FoundTime';
import { OwnShot } from './OwnShot';
import { Proposals } from './Proposals';
import { recipeFacts } from './recipeWords';
import { WhenOff } from './WhenOff';
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
  const { recipe, tastesLike, setBy, version, createdAt, note } = card.latest;
  const figures: [string, string, string][] = [
    ['dose', plainNumber(recipe.doseGrams, 1), 'g'],
    ['yield', plainNumber(recipe.yieldGrams, 1), 'g'],
    ['time', `${recipe.timeSeconds.min}–${recipe.timeSeconds.max}`, 's'],
    ['grind', plainNumber(recipe.grind), ''],
  ];
  if (recipe.temperatureC != null)
    figures.push(['temperature', temperatureNumber(recipe.temperatureC, unit), `°${unit}`]);
  if (recipe.valveGrams != null) figures.push(['valve in 30 s', plainNumber(recipe.valveGrams), 'g']);
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
      <dl className={styles.figures}>
        {figures.map(([name, value, sign]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="numeral">
              {value}
              {sign && <span className={styles.sign}> {sign}</span>}
            </dd>
          </div>
        ))}
      </dl>
      <ul className={styles.facts}>
        <li>
          Ratio 1:{plainNumber(brewRatio(recipe.doseGrams, recipe.yieldGrams), 2)}, time {TIMER_WORDS[recipe.timer]}
        </li>
        <li>
          {recipe.basketName} · {recipe.grinderName} → {recipe.machineName}
        </li>
        {recipeFacts(recipe).map((fact) => (
          <li key={fact}>{fact}</li>
        ))}
        <FoundTime card={card} />
        {tastesLike && <li>Tastes like {tastesLike}</li>}
        <li className="quiet">
          Version {version}, {dayAndTime(createdAt)}
          {setBy && `, set by ${setBy}`}
          {note && `: ${note}`}
        </li>
      </ul>
      {card.reference && <OwnShot line={card.reference} recipe={recipe} />}
      <WhenOff card={card} />
      <Proposals card={card} />
      <CardDrinks card={card} />
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
