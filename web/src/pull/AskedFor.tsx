import { Button, Modal } from 'antd';
import questionStyles from '../dialin/Question.module.css';
import type { Holding } from './useHolding';

/** Another tablet asks for the shot that runs here: one of two large buttons answers; without one it goes there after ten seconds. */
export function AskedFor({ holding }: { holding: Holding }) {
  const { askedBy, give, keep } = holding;
  if (askedBy === null) return null;
  return (
    <Modal open footer={null} onCancel={keep} title={`${askedBy || 'Another tablet'} asks for this shot`}>
      <div className={questionStyles.answers}>
        <Button size="large" onClick={give}>
          Hand it over
        </Button>
        <Button size="large" onClick={keep}>
          Keep it here
        </Button>
      </div>
    </Modal>
  );
}
