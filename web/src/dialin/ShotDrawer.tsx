import { Button, Drawer } from 'antd';
import type { SheetView } from '../app/api';
import { ShotForm } from './ShotForm';
import { TastePanel } from './TastePanel';

/** One shot, to be corrected in plain sight: what it said before stays readable below. */
export function ShotDrawer({
  sheet,
  shotId,
  onClose,
  onKeep,
  onTrace,
}: {
  sheet: SheetView;
  shotId: string | null;
  onClose: () => void;
  /** Makes its recipe the card; null once the dial-in is closed. */
  onKeep: ((shotId: string) => void) | null;
  onTrace: ((shotId: string) => void) | null;
}) {
  const at = sheet.shots.findIndex(({ id }) => id === shotId);
  const shot = sheet.shots[at];
  const number = at + 1;
  return (
    <Drawer open={shot !== undefined} onClose={onClose} title={shot && `Shot ${number}`} size={420} destroyOnHidden>
      {shot && (
        <ShotForm key={shot.id} sheet={sheet} shot={shot} onClose={onClose}>
          {onTrace && (
            <Button onClick={() => onTrace(shot.id)} style={{ marginBottom: 12 }}>
              {shot.traced ? 'Its trace' : 'Bring a trace in'}
            </Button>
          )}
          {onKeep && (
            <Button onClick={() => onKeep(shot.id)} style={{ marginBottom: 12 }}>
              Keep this one as card
            </Button>
          )}
          <TastePanel sheet={sheet} number={number} expect={null} closed={false} />
        </ShotForm>
      )}
    </Drawer>
  );
}
