import { brewRatio, plainNumber } from '@olvet/core';
import type { CardDetailView } from '../app/api';
import { dayAndTime, temperatureNumber, TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import styles from './CardPage.module.css';
import { FoundTime } from './FoundTime';
import { OwnShot } from './OwnShot';
import { recipeFacts } from './recipeWords';
import { WhenOff } from './WhenOff';

/** What a card says, on screen and on paper: large figures, what else belongs to them, its own shot, what to do when it is off. */
export function CardSheet({ card }: { card: CardDetailView }) {
  const unit = useTemperatureUnit();
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
    <>
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
    </>
  );
}
