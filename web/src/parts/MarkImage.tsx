export type MarkImageProps = { svg: string; alt: string; className?: string };

/** A rebuilt mark as an image, which cannot run anything. */
export function MarkImage({ svg, alt, className }: MarkImageProps) {
  return <img className={className} src={`data:image/svg+xml,${encodeURIComponent(svg)}`} alt={alt} />;
}
