import { useEffect, useRef, useState } from 'react';
import { useGuide } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { CHOICES, stampOf } from '../../bench/documents';

/** The style guide, drawn from the tokens: a click on a value copies it; it is printed, or downloaded as PDF or as a page. */
export function GuideView({ close }: { close: () => void }) {
  const { brand, choices, canWrite, look } = useShown('brand', 'choices', 'canWrite', 'look');
  const { change, say, report } = useActions();
  const guide = useGuide(brand.id, stampOf(brand), look.scheme);
  const frame = useRef<HTMLIFrameElement>(null);
  const [loaded, setLoaded] = useState(0);
  const [printing, setPrinting] = useState(false);
  const pdf = async () => {
    if (printing) return;
    setPrinting(true);
    try {
      const answer = await fetch(`/api/brands/${brand.id}/guide/pdf`);
      if (!answer.ok) throw new Error(((await answer.json()) as { title: string }).title);
      const link = document.createElement('a');
      link.href = URL.createObjectURL(await answer.blob());
      link.download = `${brand.identity.body.name} style guide.pdf`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
    } catch (error) {
      report(error);
    } finally {
      setPrinting(false);
    }
  };
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (!loaded || !document) return;
    const press = (event: Event) => {
      const target = event.target as Element | null;
      const link = target?.closest('a');
      if (link) {
        event.preventDefault();
        document.querySelector(link.getAttribute('href') ?? '#')?.scrollIntoView();
        return;
      }
      const text = target?.closest('[data-copy]')?.getAttribute('data-copy');
      if (text) void navigator.clipboard.writeText(text).then(() => say(`${text} copied`, false));
    };
    document.addEventListener('click', press);
    return () => document.removeEventListener('click', press);
  }, [loaded, say]);
  return (
    <div className="guide-view" role="region" aria-label="Style guide">
      <div className="guide-bar">
        <b>Style guide</b>
        <span className="soft">A click on a value copies it.</span>
        <button
          type="button"
          className="quiet-action"
          disabled={!loaded}
          onClick={() => frame.current?.contentWindow?.print()}
        >
          Print
        </button>
        <button type="button" className="quiet-action" aria-disabled={printing} onClick={() => void pdf()}>
          {printing ? 'Making the PDF…' : 'Download PDF'}
        </button>
        <a className="quiet-action" href={`/api/brands/${brand.id}/guide/zip`} download>
          Download page
        </a>
        <label className="switch">
          <input
            type="checkbox"
            disabled={!canWrite}
            checked={choices.publish_guide ?? false}
            onChange={(event) =>
              void change(
                event.target.checked
                  ? 'Style guide published with the site'
                  : 'Style guide not published with the site',
                [{ document: CHOICES, patch: [{ op: 'add', path: '/publish_guide', value: event.target.checked }] }],
              )
            }
          />
          Publish with the site
        </label>
        <button type="button" className="quiet-action" onClick={close}>
          Close
        </button>
      </div>
      {guide.data ? (
        <iframe
          ref={frame}
          title="Style guide"
          sandbox="allow-same-origin allow-modals"
          srcDoc={guide.data.html}
          onLoad={() => setLoaded((count) => count + 1)}
        />
      ) : (
        <p className="empty-line">{guide.isError ? 'The style guide cannot be drawn.' : 'Drawing…'}</p>
      )}
    </div>
  );
}
