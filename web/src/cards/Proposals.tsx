import { LIMITS, type Limit } from '@olvet/core';
import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  useAnswerProposalMutation,
  useProposeCardMutation,
  type CardDetailView,
  type CardProposalView,
  type ProposeCardDto,
} from '../app/api';
import { DegreesInput } from '../parts/DegreesInput';
import { dayAndTime } from '../parts/format';
import listStyles from '../parts/List.module.css';
import { NumberInput } from '../parts/NumberInput';
import { oneTap } from '../parts/oneTap';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ResourceEditor } from '../parts/ResourceEditor';
import { useTemperatureUnit } from '../parts/temperature';
import styles from './CardPage.module.css';
import { CupsAndGroup } from './CupsAndGroup';
import { UNCHANGED, versionChanges } from './versionChanges';

const tap = oneTap();

/** What somebody would like the card to be, until somebody else makes it so. */
export function Proposals({ card }: { card: CardDetailView }) {
  const [proposing, setProposing] = useState<string | null>(null);
  return (
    <section className={styles.proposals} aria-labelledby="proposals">
      <h2 id="proposals">Proposed</h2>
      {card.proposals.length === 0 && <p className="quiet">Nothing.</p>}
      <ul>
        {card.proposals.map((proposal) => (
          <ProposalRow key={proposal.id} card={card} proposal={proposal} />
        ))}
      </ul>
      <Button onClick={() => setProposing(v7())}>Propose a change</Button>
      <ProposeEditor card={card} proposalId={proposing} onClose={() => setProposing(null)} />
    </section>
  );
}

function ProposalRow({ card, proposal }: { card: CardDetailView; proposal: CardProposalView }) {
  const unit = useTemperatureUnit();
  const [answer, { isLoading, error }] = useAnswerProposalMutation();
  // Kept over retries, so that sending twice makes one version.
  const [versionId] = useState(() => v7());
  const { id, recipe, note, proposedBy, createdAt } = proposal;
  const tastesLike = proposal.tastesLike || card.latest.tastesLike;
  const changes = versionChanges({ ...card.latest, recipe, tastesLike }, card.latest, unit);
  const give = (said: 'taken' | 'declined') => void answer({ id, answerProposalDto: { answer: said, versionId } });
  return (
    <li>
      <p>
        <strong>{changes.join(', ')}</strong> {note}
        <br />
        <span className="quiet">
          {dayAndTime(createdAt)}
          {proposedBy && `, ${proposedBy}`}
        </span>
      </p>
      <Button type="primary" loading={isLoading} onClick={() => tap(() => give('taken'))}>
        Make it current
      </Button>
      <Button disabled={isLoading} onClick={() => tap(() => give('declined'))}>
        Decline
      </Button>
      <ProblemAlert error={error} />
    </li>
  );
}

type Fields = ProposeCardDto;

const FIELDS: [keyof ProposeCardDto['recipe'], string, Limit][] = [
  ['grind', 'Grind', LIMITS.grind],
  ['grindSeconds', 'Ground for, s', LIMITS.grindSeconds],
  ['doseGrams', 'Dose, g', LIMITS.doseGrams],
  ['yieldGrams', 'Yield, g', LIMITS.yieldGrams],
  ['soakSeconds', 'Soak, s', LIMITS.phaseSeconds],
  ['valveGrams', 'Valve in 30 s, g', LIMITS.valveGrams],
];

function ProposeEditor({
  card,
  proposalId,
  onClose,
}: {
  card: CardDetailView;
  proposalId: string | null;
  onClose: () => void;
}) {
  const [propose] = useProposeCardMutation();
  const unit = useTemperatureUnit();
  const { recipe, tastesLike } = card.latest;
  const save = async ({ recipe: changed, ...said }: Fields): Promise<unknown> => {
    const proposeCardDto = { ...said, recipe: { ...recipe, ...changed } };
    const now = { ...card.latest, ...proposeCardDto, tastesLike: said.tastesLike ?? '' };
    if (versionChanges(now, card.latest, unit)[0] === UNCHANGED) {
      return { status: 422, data: { detail: 'Nothing is changed yet: say what should be another.', errors: [] } };
    }
    const done = await propose({ id: card.id, proposalId: proposalId!, proposeCardDto });
    return 'error' in done ? done.error : undefined;
  };
  return (
    <ResourceEditor<Fields>
      title={`${card.name}: propose a change`}
      initial={proposalId === null ? null : { recipe, tastesLike, note: '' }}
      onClose={onClose}
      onSave={save}
    >
      {() => (
        <>
          <div className={listStyles.two}>
            {FIELDS.map(([name, label, limits]) => (
              <Form.Item key={name} name={['recipe', name]} label={label}>
                <NumberInput className={listStyles.full} {...limits} />
              </Form.Item>
            ))}
            {recipe.temperatureC != null && (
              <Form.Item name={['recipe', 'temperatureC']} label={`Temperature, °${unit}`}>
                <DegreesInput className={listStyles.full} />
              </Form.Item>
            )}
          </div>
          <CupsAndGroup within={['recipe']} />
          <Form.Item name="tastesLike" label="Tastes like">
            <Input maxLength={400} />
          </Form.Item>
          <Form.Item name="note" label="Why" rules={[{ required: true, message: 'Say why, for whoever decides' }]}>
            <Input maxLength={400} />
          </Form.Item>
        </>
      )}
    </ResourceEditor>
  );
}
