import { useShown } from '../../bench/useBench';

export type SamplerProps = { pick: (value: string) => void };

/** Marks and pictures of the brand, from which a colour is taken where one presses. */
export function Sampler({ pick }: SamplerProps) {
  const { brand } = useShown('brand');
  const marks = brand.identity.body.marks ?? [];
  const shown = [
    ...marks.map((mark) => ({
      id: mark.id,
      name: mark.name,
      src: `data:image/svg+xml,${encodeURIComponent(mark.svg)}`,
    })),
    ...brand.pictures
      .filter((picture) => picture.address)
      .map((picture) => ({
        id: picture.id,
        name: picture.name,
        src: picture.address,
      })),
  ];
  if (!shown.length) return <p className="soft">The brand has no mark and no picture yet.</p>;
  const take = (event: React.MouseEvent<HTMLImageElement>) => {
    const image = event.currentTarget;
    const box = image.getBoundingClientRect();
    const canvas = document.createElement('canvas');
    // At the size on the screen, so that what is seen at the place is what is taken.
    canvas.width = Math.max(1, Math.round(box.width));
    canvas.height = Math.max(1, Math.round(box.height));
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return;
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    const x = Math.min(canvas.width - 1, Math.max(0, Math.floor(event.clientX - box.left)));
    const y = Math.min(canvas.height - 1, Math.max(0, Math.floor(event.clientY - box.top)));
    const [r = 0, g = 0, b = 0, alpha = 0] = context.getImageData(x, y, 1, 1).data;
    if (alpha < 250) return;
    pick(`#${[r, g, b].map((part) => part.toString(16).padStart(2, '0')).join('')}`);
  };
  return (
    <div className="sampler">
      <p className="soft">Press on a place to take its colour.</p>
      {shown.map((one) => (
        <img key={one.id} src={one.src} alt={one.name} title={one.name} onClick={take} />
      ))}
    </div>
  );
}
