import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useSources } from '../../api/queries';
import { Tabs } from '../../parts/Tabs';
import { useShown } from '../../bench/useBench';
import { BrandFacet } from './BrandFacet';
import { BriefFacet } from './brief/BriefFacet';
import { droppedFiles } from './files/dropped';
import { FilesFacet } from './files/FilesFacet';
import { useIntake } from './files/useIntake';

/** Stage 1: what is settled of the brand, what its files say, and the brief. Files can be dropped anywhere on it. */
export function IdentityStage() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const sources = useSources(brand.id);
  const queries = useQueryClient();
  // What is missing and what is still open follow the identity, also through undo.
  const revision = brand.identity.revision;
  useEffect(() => {
    void queries.invalidateQueries({ queryKey: ['sources', brand.id] });
  }, [queries, brand.id, revision]);
  const intake = useIntake();
  const [facet, setFacet] = useState('brand');
  const [over, setOver] = useState(false);
  const open = sources.data?.facts.filter((fact) => fact.state === 'open' && fact.usable).length ?? 0;
  const questions = sources.data?.questions.length ?? 0;
  const tabs = [
    { id: 'brand', name: 'Brand' },
    { id: 'files', name: open ? `Files, ${open} to decide` : 'Files' },
    { id: 'brief', name: questions ? `Brief, ${questions} open` : 'Brief' },
  ];
  const drop = async (event: React.DragEvent) => {
    event.preventDefault();
    setOver(false);
    if (!canWrite) return;
    setFacet('files');
    await intake.add(await droppedFiles(event.dataTransfer));
  };
  return (
    <div
      className={over ? 'identity-stage is-over' : 'identity-stage'}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => void drop(event)}
    >
      <Tabs label="Parts of the identity" prefix="part" tabs={tabs} shown={facet} show={setFacet} />
      <div id="part-panel" className="identity-panel" role="tabpanel" aria-labelledby={`part-${facet}`}>
        {facet === 'brand' && <BrandFacet />}
        {facet === 'files' && <FilesFacet sources={sources.data} intake={intake} />}
        {facet === 'brief' && <BriefFacet sources={sources.data} />}
      </div>
    </div>
  );
}
