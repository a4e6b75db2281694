import { AskDialog } from '../parts/AskDialog';
import { useActions, useShown } from '../bench/useBench';

/** Asks before something is taken back, or made again, over what somebody has changed since. */
export function ChangedSince() {
  const { asked } = useShown('asked');
  const { answer } = useActions();
  if (!asked) return null;
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
