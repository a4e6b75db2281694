import type { PageManner, PaletteCard } from '../../api/client';
import { usePalettePreview } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { Wall, WallFrame } from '../../sheet/Wall';
import type { PaletteChoice } from './usePaletteChoice';

/** Eight palettes side by side, each on the brand’s own start page. */
export function PaletteWall({ choice }: { choice: PaletteChoice }) {
  const { proposals, chosen, choose, show, wanted, palettes, stamp, reference } = choice;
  const next = palettes.data?.next ?? 0;
  const first = proposals[0]?.number;
  return (
    <Wall<PaletteCard>
      name="Palettes"
      range={first ? `${first} to ${proposals[proposals.length - 1]?.number}` : ''}
      cards={proposals}
      numberOf={(one) => one.number}
      nameOf={(one) => one.name}
      chosen={chosen?.number}
      choose={choose}
      before={wanted.first > 1 ? () => show(Math.max(1, wanted.first - 8)) : undefined}
      others={next > 0 ? () => show(next) : undefined}
      empty={palettes.isSuccess && proposals.length === 0 ? 'Nothing to go by yet.' : undefined}
      draw={(one, shown) => <PaletteFrame palette={one} stamp={stamp} shown={shown} manner={reference.likeIt} />}
    />
  );
}

type PaletteFrameProps = { palette: PaletteCard; stamp: string; shown: number; manner: PageManner | undefined };

function PaletteFrame({ palette, stamp, shown, manner }: PaletteFrameProps) {
  const { brand } = useShown('brand');
  const preview = usePalettePreview(brand.id, stamp, palette, manner);
  return (
    <>
      <WallFrame
        title={`Palette ${palette.number}: ${palette.name}`}
        html={preview.data?.html}
        failed={preview.isError ? 'This palette cannot be drawn.' : undefined}
        shown={shown}
        high={1.2}
      />
      <span className="palette-strip" aria-hidden="true">
        {palette.colors.map((color) => (
          <i key={color.name} style={{ background: color.value }} />
        ))}
      </span>
    </>
  );
}
