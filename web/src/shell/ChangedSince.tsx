import { AskDialog } from '../parts/AskDialog';
import type { Asked } from './useBenchState';

export type ChangedSinceProps = { asked: NonNullable<Asked>; answer: (goOn: boolean) => void };

/** Asks before something is taken back, or made again, over what somebody has changed since. */
export function ChangedSince({ asked, answer }: ChangedSinceProps) {
  const back = asked.way === 'undo';
  return (
    <AskDialog
      title={back ? 'Take it back all the same?' : 'Make it again all the same?'}
      leave="Leave it as it is"
      doIt={back ? 'Take it back' : 'Make it again'}
      ready
      error={null}
      send={() => answer(true)}
      close={() => answer(false)}
    >
      <p>{asked.text}</p>
    </AskDialog>
  );
}
