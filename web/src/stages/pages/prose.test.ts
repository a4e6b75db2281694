import { describe, expect, it } from 'vitest';
import { pastedText, proseHtml, proseText, read } from './prose';

function prose(html: string): HTMLElement {
  document.body.innerHTML = `<div class="prose">${html}</div>`;
  return document.querySelector('.prose') as HTMLElement;
}

const ALL = `Wir flechten *langsam*, und **gern**.

- Weide aus dem [Moor](page:moor#seit-1)
- Hasel
- Rohr, [Preise](file:preise)

1. Schneiden
2. Kochen

Schreiben Sie [uns](mailto:a@b.example).`;

describe('a long text on the page', () => {
  it('is stored as it was, with lists, links and emphasis', () => {
    expect(proseText(prose(proseHtml(ALL)))).toBe(ALL);
  });

  it('is read from what the page draws: breaks in words, notes of files, gaps', () => {
    const drawn = `<p class="t-body">Ein Denk<wbr>mal&nbsp;am <a href="moor.html" data-to="page:moor">Moor</a></p>
      <ul class="t-body"><li><a href="files/p.pdf" data-to="file:p">Preise<span class="file-note"> (PDF, 1 MB)</span></a></li>
      <li><span class="placeholder" data-gap="Was noch">Was noch</span></li></ul>`;
    expect(proseText(prose(drawn))).toBe('Ein Denkmal am [Moor](page:moor)\n\n- [Preise](file:p)\n- [[Was noch]]');
  });

  it('takes what a browser makes of keys: divisions, empty paragraphs, lists in paragraphs', () => {
    expect(proseText(prose('<div>Eins</div><div><br></div><p>Zwei<br>drei</p>lose'))).toBe('Eins\n\nZwei drei\n\nlose');
    expect(proseText(prose('<p><ul><li>a</li><li></li><li>b</li></ul></p>'))).toBe('- a\n- b');
    expect(proseText(prose('<div><ol><li>a</li></ol><p>b</p></div>'))).toBe('1. a\n\nb');
    expect(proseText(prose('<ul><li>a<ul><li>b</li></ul></li></ul>'))).toBe('- a\n- b');
    expect(proseText(prose(''))).toBe('');
  });

  it('reads lines as the site does', () => {
    expect(read('Eins\nzwei\n- a\n- b\ngeht weiter\n1) c')).toEqual([
      { kind: 'p', texts: ['Eins zwei'] },
      { kind: 'ul', texts: ['a', 'b geht weiter'] },
      { kind: 'ol', texts: ['c'] },
    ]);
  });
});

describe('what is pasted', () => {
  it('arrives clean: paragraphs, lists, links that lead somewhere, emphasis, and nothing else', () => {
    const html = `<style>p{color:red}</style><script>x()</script><h2>Körbe</h2>
      <p style="color:red">Aus <b>Weide</b> und <span style="font-weight:700">Hasel</span>, <i>von Hand</i>.</p>
      <ul><li>klein</li><li><a href="https://a.example/x">groß</a></li></ul><img src="a.png">
      <p><a href="javascript:x()">hier</a> <a href="#top">oben</a></p><table><tr><td>a</td><td>b</td></tr></table>`;
    expect(pastedText(html)).toBe(
      'Körbe\n\nAus **Weide** und **Hasel**, *von Hand*.\n\n- klein\n- [groß](https://a.example/x)\n\nhier oben\n\na\n\nb',
    );
  });

  it('of an office program keeps its words and not its dress', () => {
    const html = `<meta charset="utf-8"><b style="font-weight:normal"><p dir="ltr"><span style="font-size:11pt">Eins</span></p><br><ol><li dir="ltr"><p>a</p></li></ol></b>`;
    expect(pastedText(html)).toBe('Eins\n\n1. a');
  });

  it('is put in as elements without anything that runs', () => {
    expect(proseHtml('<img src=x onerror=y> & [a"b](https://a.example/?"x")')).toBe(
      '<p>&lt;img src=x onerror=y&gt; &amp; <a data-to="https://a.example/?&quot;x&quot;">a&quot;b</a></p>',
    );
  });
});

describe('any text', () => {
  it('comes back as it is read, whatever it is made of', () => {
    const parts = [
      'Wort',
      '- ',
      '1. ',
      '\n',
      '\n\n',
      '*',
      '**',
      '[',
      ']',
      '(page:a)',
      '[x](page:b)',
      ' ',
      '<',
      '&',
      '5*',
    ];
    let seed = 3;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let turn = 0; turn < 400; turn++) {
      let text = '';
      for (let n = 0; n < 12; n++) text += parts[Math.floor(random() * parts.length)];
      const again = (written: string) => proseText(prose(proseHtml(written)));
      const once = again(again(text)); // a paragraph that begins as a list does is one when it is read again
      expect(again(once)).toBe(once);
    }
  });
});
