import { useLibrary } from '../api/queries';
import { useActions, useShown } from '../bench/useBench';
import type { Vision } from '../bench/bench';

/** How the pages are looked at: the scheme where there are two, and the kind of vision. */
export function LookBar() {
  const { system, look } = useShown('system', 'look');
  const { setLook } = useActions();
  const library = useLibrary();
  return (
    <span className="look-bar">
      {system.schemes.length > 1 &&
        system.schemes.map((scheme) => (
          <button
            key={scheme}
            type="button"
            className="width-toggle"
            aria-pressed={look.scheme === scheme}
            onClick={() => setLook({ ...look, scheme })}
          >
            {scheme}
          </button>
        ))}
      <label className="visually-hidden" htmlFor="look-vision">
        Seen with
      </label>
      <select
        id="look-vision"
        value={look.vision}
        onChange={(event) => setLook({ ...look, vision: event.target.value as Vision })}
      >
        <option value="">full colour vision</option>
        {library.data?.visions.map((vision) => (
          <option key={vision.id} value={vision.id}>
            {vision.id}
          </option>
        ))}
      </select>
    </span>
  );
}
