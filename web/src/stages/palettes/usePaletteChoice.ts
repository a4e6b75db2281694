import { useState } from 'react';
import type { PageManner } from '../../api/client';
import { colorsOfFile, usePalettes, type PalettesWanted } from '../../api/queries';
import { CHOICES, IDENTITY, stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

const TRADE: PalettesWanted = { source: 'trade', text: '', colors: [], first: 1 };

/** The choices that come to a page's manner. */
const inThe = ({ ratio_small, ratio_large, density }: PageManner) =>
  [
    { path: '/scale/ratio_small', value: ratio_small },
    { path: '/scale/ratio_large', value: ratio_large },
    { path: '/density', value: density },
  ]
    .filter((one) => one.value !== null)
    .map((one) => ({ op: 'add' as const, ...one }));

/** What palettes are to follow, which eight are looked at, and which of them is chosen. */
export function usePaletteChoice(enabled: boolean) {
  const { brand } = useShown('brand');
  const { change, say, report } = useActions();
  const [wanted, setWanted] = useState<PalettesWanted>(TRADE);
  const [number, setNumber] = useState(1);
  const [file, setFile] = useState('');
  // How a reference page sets type and leaves space, and whether that is taken over as well.
  const [manner, setManner] = useState<PageManner | null>(null);
  const [alike, setAlike] = useState(true);
  const stamp = stampOf(brand);
  const palettes = usePalettes(brand.id, stamp, wanted, enabled);
  const proposals = palettes.data?.proposals ?? [];
  const chosen = proposals.find((one) => one.number === number) ?? proposals[0];
  const follow = (next: Partial<PalettesWanted>) => {
    setWanted({ ...TRADE, ...next });
    setNumber(1);
    setManner(null);
  };
  const show = (first: number) => {
    setWanted({ ...wanted, first });
    setNumber(first);
  };
  const read = async (picture: File | undefined) => {
    if (!picture) return;
    setFile(`Reading ${picture.name}…`);
    try {
      const found = await colorsOfFile(picture);
      setFile(picture.name);
      follow({ source: 'colors', colors: found.colors.map(({ hex, share }) => ({ hex, share: share ?? 0 })) });
      setManner(found.manner);
    } catch (problem) {
      setFile('');
      report(problem);
    }
  };
  const likeIt = alike && manner ? manner : undefined;
  const take = async () => {
    if (!chosen) return;
    const value = chosen.colors.map((one) => ({ name: one.name, value: one.value }));
    const taken = await change(`Palette taken: ${chosen.name}`, [
      { document: IDENTITY, patch: [{ op: 'add', path: '/colors', value }] },
      {
        document: CHOICES,
        patch: [{ op: 'add', path: '/rhythm', value: chosen.rhythm }, ...(likeIt ? inThe(likeIt) : [])],
      },
    ]);
    if (taken) say(`${chosen.name}: the brand has its colours.`);
  };
  const reference = { manner, alike, setAlike, likeIt };
  return { stamp, palettes, reference, proposals, chosen, wanted, follow, show, choose: setNumber, read, file, take };
}

export type PaletteChoice = ReturnType<typeof usePaletteChoice>;
