import { Link, NavLink, useParams } from 'react-router';
import listStyles from '../parts/List.module.css';
import { DoseFinder } from './DoseFinder';
import { HandCheckTool } from './HandCheckTool';
import { MachineCheck } from './MachineCheck';
import styles from './MeasurePage.module.css';
import { OldHabits } from './OldHabits';
import { RatioDesk } from './RatioDesk';
import { TimedDose } from './TimedDose';
import { ValveTool } from './ValveTool';

const TOOLS = [
  {
    id: 'dose',
    name: 'Find a dose',
    what: 'How much coffee fills this basket, by the print of a thin coin.',
    Tool: DoseFinder,
  },
  {
    id: 'timed',
    name: 'Timed dose',
    what: 'How long a timed grinder must run, from a few weighings.',
    Tool: TimedDose,
  },
  {
    id: 'hand',
    name: 'Hand check',
    what: 'Is the grind near, before a shot is wasted? Squeeze a pinch.',
    Tool: HandCheckTool,
  },
  {
    id: 'ratio',
    name: 'Ratio desk',
    what: 'Dose, yield, ratio: two give the third. Carry a recipe to another basket.',
    Tool: RatioDesk,
  },
  {
    id: 'old',
    name: 'Cups and glasses',
    what: 'Millilitres, ounces, two cups, a lever’s small dose: in grams, with what each really may be.',
    Tool: OldHabits,
  },
  {
    id: 'machine',
    name: 'Machine check',
    what: 'What a group’s water really has, and when its first drip comes.',
    Tool: MachineCheck,
  },
  {
    id: 'valve',
    name: 'Pre-brew valve',
    what: 'Water in 30 seconds brought to its target, turn by turn.',
    Tool: ValveTool,
  },
] as const;

/** The measuring tools, one at a time; each explains itself in one sentence. */
export function MeasurePage() {
  const { tool } = useParams<'tool'>();
  const chosen = TOOLS.find(({ id }) => id === tool);
  return (
    <div className={listStyles.page}>
      <header className={styles.head}>
        <h1>{chosen ? chosen.name : 'Measure'}</h1>
        <p className="quiet">
          {chosen ? chosen.what : 'Small tools for what comes before a shot. What they find goes into the advice.'}
        </p>
      </header>
      <nav className={styles.tools} aria-label="Measuring tools">
        {TOOLS.map(({ id, name }) => (
          <NavLink
            key={id}
            to={`/measure/${id}`}
            className={({ isActive }) => (isActive ? styles.chosen : styles.tool)!}
          >
            {name}
          </NavLink>
        ))}
      </nav>
      {chosen ? (
        <chosen.Tool />
      ) : (
        <ul className={listStyles.list}>
          {TOOLS.map(({ id, name, what }) => (
            <li key={id} className={styles.row}>
              <h2>
                <Link to={`/measure/${id}`}>{name}</Link>
              </h2>
              <p className="quiet">{what}</p>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
