import { useStylePreview } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { Wall, WallFrame } from '../../sheet/Wall';
import type { StyleChoice } from './useStyleChoice';

/** Eight whole styles side by side, each on the brand’s own start page. */
export function StyleWall({ choice }: { choice: StyleChoice }) {
  const { proposals, chosen, choose, show, first, styles, stamp } = choice;
  const next = styles.data?.next ?? 0;
  return (
    <Wall
      name="Styles"
      range={`${first} to ${first + Math.max(proposals.length, 1) - 1}`}
      cards={proposals}
      numberOf={(one) => one.number}
      nameOf={(one) => one.name}
      chosen={chosen?.number}
      choose={choose}
      before={first > 1 ? () => show(Math.max(1, first - 8)) : undefined}
      others={next > 0 ? () => show(next) : undefined}
      draw={(one, shown) => <StyleFrame number={one.number} stamp={stamp} shown={shown} name={one.name} />}
    />
  );
}

function StyleFrame({ number, stamp, shown, name }: { number: number; stamp: string; shown: number; name: string }) {
  const { brand } = useShown('brand');
  const preview = useStylePreview(brand.id, stamp, number);
  return (
    <WallFrame
      title={`Style ${number}: ${name}`}
      html={preview.data?.html}
      failed={preview.isError ? 'This style cannot be drawn.' : undefined}
      shown={shown}
      high={1.35}
    />
  );
}
