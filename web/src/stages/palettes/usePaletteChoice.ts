import { useState } from 'react';
import { colorsOfFile, usePalettes, type PalettesWanted } from '../../api/queries';
import { CHOICES, IDENTITY, stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

const TRADE: PalettesWanted = { source: 'trade', text: '', colors: [], first: 1 };

/** What palettes are to follow, which eight are looked at, and which of them is chosen. */
export function usePaletteChoice(enabled: boolean) {
  const { brand } = useShown('brand');
  const { change, say, report } = useActions();
  const [wanted, setWanted] = useState<PalettesWanted>(TRADE);
  const [number, setNumber] = useState(1);
  const [file, setFile] = useState('');
  const stamp = stampOf(brand);
  const palettes = usePalettes(brand.id, stamp, wanted, enabled);
  const proposals = palettes.data?.proposals ?? [];
  const chosen = proposals.find((one) => one.number === number) ?? proposals[0];
  const follow = (next: Partial<PalettesWanted>) => {
    setWanted({ ...TRADE, ...next });
    setNumber(1);
  };
  const show = (first: number) => {
    setWanted({ ...wanted, first });
    setNumber(first);
  };
  const read = async (picture: File | undefined) => {
    if (!picture) return;
    setFile(`Reading ${picture.name}…`);
    try {
      const colors = await colorsOfFile(picture);
      setFile(picture.name);
      follow({ source: 'colors', colors: colors.map(({ hex, share }) => ({ hex, share: share ?? 0 })) });
    } catch (problem) {
      setFile('');
      report(problem);
    }
  };
  const take = async () => {
    if (!chosen) return;
    const value = chosen.colors.map((one) => ({ name: one.name, value: one.value }));
    const taken = await change(`Palette taken: ${chosen.name}`, [
      { document: IDENTITY, patch: [{ op: 'add', path: '/colors', value }] },
      { document: CHOICES, patch: [{ op: 'add', path: '/rhythm', value: chosen.rhythm }] },
    ]);
    if (taken) say(`${chosen.name}: the brand has its colours.`);
  };
  return { stamp, palettes, proposals, chosen, wanted, follow, show, choose: setNumber, read, file, take };
}

export type PaletteChoice = ReturnType<typeof usePaletteChoice>;
