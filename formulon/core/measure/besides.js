// What is seen of controls in their states. `what` is "rest" to remember how they look at rest, and to tell what is asked of a page once,
// "pointer" for all of them as under the pointer, "focus" for one after the other as under the keyboard, and those that it does not come to.
(what) => {
  const PRESSED = 'a[href], button:not([disabled]), input:not([type=hidden]):not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';
  // (names)
  const shown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true });
  const about = (el) => ({ at: select(el), slot: slotOf(el), section: sectionOf(el) });
  const label = (el) => plain(el.getAttribute('aria-label') || el.textContent || el.getAttribute('placeholder') || el.id || '').slice(0, 80);
  const NAMES = ['outlineStyle', 'outlineColor', 'outlineWidth', 'boxShadow', 'backgroundColor', 'color', 'borderTopColor', 'borderTopWidth', 'borderBottomColor', 'borderBottomWidth', 'textDecorationLine', 'textDecorationThickness', 'textDecorationColor', 'backgroundImage', 'filter', 'transform'];
  const lookOf = (el) => {
    const look = getComputedStyle(el);
    return Object.fromEntries(NAMES.map((name) => [name, look[name]]));
  };
  // The even colour that an element stands on, from itself up; null where only pixels tell.
  const groundOf = (el) => {
    let ground = [0, 0, 0, 0];
    for (let one = el; one && ground[3] < 0.999; one = one.parentElement) {
      const look = getComputedStyle(one);
      const back = parse(look.backgroundColor);
      if (!back || look.backgroundImage !== 'none' || look.opacity !== '1' || look.filter !== 'none' || look.mixBlendMode !== 'normal') return null;
      ground = over(ground, back);
    }
    return over(ground, [255, 255, 255, 1]).slice(0, 3);
  };
  const LAID = (el) => ['::before', '::after'].some((pseudo) => {
    const own = getComputedStyle(el, pseudo);
    return own.content !== 'none' && own.content !== 'normal' && own.position === 'absolute';
  });
  // The words of a control, each with ink and ground where they can be told without pixels.
  const wordsOf = (el) => {
    const made = [];
    for (const one of [el, ...el.querySelectorAll('*')]) {
      if (made.length === 4) break;
      if (one.closest('svg') || ![...one.childNodes].some((node) => node.nodeType === 3 && node.data.trim()) || !shown(one)) continue;
      const look = getComputedStyle(one), ink = parse(look.color), ground = LAID(one) || (one !== el && LAID(el)) ? null : groundOf(one);
      made.push({ one, ink, ground, size: parseFloat(look.fontSize), weight: Number(look.fontWeight), text: plain(one.textContent).slice(0, 80), key: ink && ground ? `${ink} ${ground}` : '' });
    }
    return made;
  };
  // What the words of a control are in a state, where that is otherwise than at rest.
  const otherWords = (el, rest) => wordsOf(el).filter((one, index) => one.key && one.key !== (rest.words[index]?.key ?? '')).map(({ one, ink, ground, size, weight, text }) => ({ ...about(one), text, ink, ground, size, weight }));
  const isButton = (el) => {
    if (/^(button|input)$/.test(el.localName)) return el.localName === 'button' || /^(submit|button|reset)$/.test(el.type);
    const look = getComputedStyle(el);
    return el.getAttribute('role') === 'button' || (el.localName === 'a' && look.display !== 'inline' && (look.backgroundImage !== 'none' || (parse(look.backgroundColor) ?? [0, 0, 0, 1])[3] > 0.05 || parseFloat(look.borderTopWidth) > 0));
  };
  const styles = (rules, each) => {
    for (const rule of rules) {
      each(rule);
      if (rule.cssRules) styles(rule.cssRules, each);
    }
  };
  const everyRule = (each) => {
    for (const sheet of document.styleSheets) {
      try { styles(sheet.cssRules, each); } catch { /* one of another origin, which nobody may read */ }
    }
  };
  // The elements that have words of their own, in sight.
  const worded = () => [...document.body.querySelectorAll('*')].filter((el) => !/^(script|style|template|noscript|option)$/.test(el.localName) && !el.closest('svg') && [...el.childNodes].some((one) => one.nodeType === 3 && one.data.trim()) && shown(el));
  // Links and buttons that say with a drawing alone what they do: the colours that it is drawn in, and the even ground under it.
  const graphics = () => {
    const made = [];
    for (const el of document.querySelectorAll('a[href], button, summary, [role=button], svg[role=img]')) {
      if (made.length === 40) break;
      const svg = el.localName === 'svg' ? el : el.querySelector('svg');
      if (!svg || !shown(svg) || el.closest('[disabled], [aria-disabled=true]') || (el !== svg && plain(el.innerText ?? '')) || (el === svg && el.closest('a, button')) || el.querySelector?.('img')) continue;
      const box = svg.getBoundingClientRect(), ground = groundOf(svg.parentElement);
      if (box.width < 4 || box.height < 4 || box.width > 96 || box.height > 96 || !ground) continue;
      const inks = new Set();
      for (const shape of svg.querySelectorAll('path, circle, rect, line, polyline, polygon, ellipse, text')) {
        const look = getComputedStyle(shape);
        for (const [paint, share] of [[look.fill, look.fillOpacity], [look.stroke, look.strokeOpacity]]) {
          const ink = paint === 'none' ? null : parse(paint);
          if (ink && shown(shape) && !shape.closest('defs, clipPath, mask, symbol')) inks.add(JSON.stringify([...ink.slice(0, 3), ink[3] * share * look.opacity]));
        }
      }
      if (inks.size) made.push({ ...about(el), label: label(el) || svg.querySelector('title')?.textContent || '', inks: [...inks].slice(0, 12).map((one) => JSON.parse(one)), ground });
    }
    return made;
  };
  // Words as they are when they are selected, where a page has colours of its own for that: each pair of colours once.
  const selected = (words) => {
    let any = false;
    everyRule((rule) => { any ||= !!rule.selectorText?.includes('::selection'); });
    const made = new Map();
    for (const el of any ? words.slice(0, 400) : []) {
      const look = getComputedStyle(el, '::selection'), back = parse(look.backgroundColor), ink = parse(look.color);
      if (!back || !ink || back[3] < 0.05) continue;
      const under = back[3] >= 0.999 ? back : groundOf(el);
      if (!under) continue;
      const ground = over(back, [...under.slice(0, 3), 1]).slice(0, 3), own = getComputedStyle(el), key = `${ink} ${ground}`;
      const one = { ...about(el), text: plain(el.textContent).slice(0, 80), ink, ground, size: parseFloat(own.fontSize), weight: Number(own.fontWeight) };
      if (!made.has(key) || made.get(key).size > one.size) made.set(key, one);
    }
    return [...made.values()].slice(0, 20);
  };
  // Distances between things, in px, each with how many have it: around painted boxes, between cells, above and below.
  const spaces = () => {
    const made = new Map();
    const add = (el, text) => {
      const value = Math.round(parseFloat(text));
      if (!(value > 1)) return;
      const known = made.get(value);
      if (known) known.count++;
      else made.set(value, { ...about(el), value: String(value), count: 1 });
    };
    for (const el of document.body.querySelectorAll('*')) {
      if (el.closest('svg') || !el.offsetHeight || !shown(el)) continue;
      const look = getComputedStyle(el);
      if (/grid|flex/.test(look.display) && el.children.length > 1) [look.rowGap, look.columnGap].forEach((gap) => add(el, gap));
      if (look.display === 'inline') continue;
      add(el, look.marginBlockStart);
      add(el, look.marginBlockEnd);
      add(el, look.paddingBlockStart);
      add(el, look.paddingInlineStart);
    }
    return [...made.values()];
  };
  // Words that browsers slant or thicken by themselves, since the site's own typeface has no such file.
  const faked = (words) => {
    const faces = new Map();
    for (const one of document.fonts) {
      const name = one.family.replace(/^["']|["']$/g, ''), known = faces.get(name) ?? { italic: false, heaviest: 0 };
      known.italic ||= /italic|oblique/.test(one.style);
      known.heaviest = Math.max(known.heaviest, ...one.weight.split(' ').map((part) => ({ normal: 400, bold: 700 })[part] ?? Number(part)));
      if (one.status !== 'error') faces.set(name, known);
    }
    const made = new Map();
    for (const el of faces.size ? words : []) {
      const look = getComputedStyle(el), family = look.fontFamily.split(',')[0].trim().replace(/^["']|["']$/g, ''), held = faces.get(family);
      if (!held) continue;
      const found = { slanted: look.fontStyle !== 'normal' && !held.italic && look.fontSynthesisStyle !== 'none', smeared: Number(look.fontWeight) >= 600 && held.heaviest < 600 && look.fontSynthesisWeight !== 'none' };
      for (const [what, so] of Object.entries(found)) if (so && !made.has(what + family)) made.set(what + family, { ...about(el), text: plain(el.textContent).slice(0, 80), family, what });
    }
    return [...made.values()].slice(0, 20);
  };
  // Texts of which words are divided at the ends of lines: how many, and how many lines one below the other.
  const divided = (words) => {
    const made = [], range = document.createRange();
    let left = 4000;
    for (const el of words) {
      const look = getComputedStyle(el), may = look.hyphens === 'auto';
      if (left <= 0 || made.length === 40) break;
      if (look.hyphens === 'none' || (!may && !el.textContent.includes('\u00ad')) || el.offsetHeight < 1.5 * parseFloat(look.fontSize)) continue;
      const tops = new Set(), ends = [];
      for (const node of el.childNodes) {
        if (node.nodeType !== 3) continue;
        for (const word of node.data.matchAll(/[^\s\u002d\u2010-\u2014/]{5,}/g)) {
          if (--left <= 0) break;
          range.setStart(node, word.index);
          range.setEnd(node, word.index + word[0].length);
          const lines = [...new Set([...range.getClientRects()].filter((one) => one.width > 1).map((one) => Math.round(one.top)))];
          lines.forEach((top) => tops.add(top));
          ends.push(...lines.slice(0, -1));
        }
      }
      if (!ends.length) continue;
      const rows = [...tops].sort((a, b) => a - b);
      let run = 0, longest = 0;
      for (const top of rows) longest = Math.max(longest, (run = ends.includes(top) ? run + 1 : 0));
      const heading = el.closest('h1, h2, h3, h4, h5, h6, [role=heading]');
      made.push({ ...about(el), text: plain(el.textContent).slice(0, 80), headed: !!heading, divided: ends.length, run: longest });
    }
    return made;
  };
  // Rows of which two parts stand so far apart that nothing leads the eye across: no line, no ground and no dots.
  const rows = (words) => {
    const made = [], held = new Map(), pictures = [...document.querySelectorAll('img, svg')].map((each) => each.getBoundingClientRect()).filter((box) => box.width > 40);
    for (const el of words) {
      const row = el.closest('li, tr, dl > div, [role=row], .item');
      // What is read across is one of several rows; ways on and back are not.
      const several = row && [...row.parentElement.children].filter((one) => one.localName === row.localName).length > 2;
      if (several && !el.closest('header, footer, nav')) (held.get(row) ?? held.set(row, []).get(row)).push(el);
    }
    const marked = (el) => {
      const look = getComputedStyle(el);
      return ['Top', 'Bottom', 'Left'].some((side) => parseFloat(look[`border${side}Width`]) > 0 && look[`border${side}Style`] !== 'none') || look.backgroundImage !== 'none' || look.boxShadow !== 'none' || (parse(look.backgroundColor) ?? [0, 0, 0, 1])[3] > 0.02;
    };
    for (const [row, those] of held) {
      if (made.length === 20) break;
      if (those.length < 2 || those.length > 12 || those.every((el) => el.closest('a'))) continue;
      const boxes = those.map((el) => { const range = document.createRange(); range.selectNodeContents(el); return { el, box: range.getBoundingClientRect() }; }).sort((a, b) => a.box.left - b.box.left);
      for (let index = 1; index < boxes.length; index++) {
        const one = boxes[index - 1], other = boxes[index], gap = other.box.left - Math.max(...boxes.slice(0, index).map((each) => each.box.right));
        const level = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top) > 4;
        if (!level || gap < 240) continue;
        const between = pictures.some((box) => box.left < other.box.left && box.right > one.box.right && box.top < one.box.bottom && box.bottom > one.box.top);
        if (between || [row, ...row.children, row.parentElement].some(marked) || LAID(row)) continue;
        made.push({ ...about(one.el), text: plain(one.el.textContent).slice(0, 80), other: plain(other.el.textContent).slice(0, 80), to: select(other.el), gap: Math.round(gap) });
      }
    }
    return made;
  };
  const atRest = () => {
    const words = worded();
    return { graphics: graphics(), selected: selected(words), spaces: spaces(), faked: faked(words), divided: divided(words), rows: rows(words) };
  };
  if (what === 'rest') {
    scrollTo(0, 0);
    document.activeElement?.blur?.();
    globalThis.formulonRest = new Map();
    for (const el of [...document.querySelectorAll(PRESSED)].slice(0, 300)) if (shown(el)) globalThis.formulonRest.set(el, { look: lookOf(el), words: wordsOf(el), inside: [...el.querySelectorAll('*')].slice(0, 6).map(lookOf), wide: el.offsetWidth, high: el.offsetHeight });
    return JSON.stringify(atRest());
  }
  if (what === 'pointer') {
    // All controls at once are as under the pointer: in the page's own rules :hover is put for what holds of every element.
    const was = [];
    everyRule((rule) => {
      if (!rule.selectorText?.includes(':hover')) return;
      was.push([rule, rule.selectorText]);
      rule.selectorText = rule.selectorText.replaceAll(':hover', ':not(.formulon-rest)');
    });
    const made = { words: [], still: [], grown: [], alike: [] };
    const looks = new Map();
    for (const [el, rest] of globalThis.formulonRest) {
      if (!shown(el)) continue;
      for (const one of otherWords(el, rest)) made.words.push(one);
      const now = lookOf(el), more = [el.offsetWidth - rest.wide, el.offsetHeight - rest.high];
      if (Math.max(...more.map(Math.abs)) > 1 && !/^(absolute|fixed)$/.test(getComputedStyle(el).position)) made.grown.push({ ...about(el), label: label(el), across: more[0], down: more[1] });
      // What stands out of sight until the keyboard comes to it meets no pointer.
      const at = el.getBoundingClientRect();
      if (!isButton(el) || at.width <= 2 || at.height <= 2 || at.right + scrollX < 0 || at.bottom + scrollY < 0) continue;
      looks.set(JSON.stringify([el.localName, rest.look]), label(el));
      // A button that nobody styled is drawn by the browser, which answers by itself.
      const plain = rest.look.backgroundColor === 'rgb(239, 239, 239)' && el.localName !== 'a';
      const moved = NAMES.some((name) => now[name] !== rest.look[name]) || Math.max(...more.map(Math.abs)) > 0 || [...el.querySelectorAll('*')].slice(0, 6).some((one, index) => JSON.stringify(lookOf(one)) !== JSON.stringify(rest.inside[index]));
      if (!plain && !moved && !(was.length && LAID(el))) made.still.push({ ...about(el), label: label(el) });
    }
    for (const [rule, text] of was) rule.selectorText = text;
    for (const el of document.querySelectorAll('button:disabled, input:disabled, button[aria-disabled=true], a[aria-disabled=true]')) {
      if (!shown(el) || !isButton(el) || getComputedStyle(el).opacity !== '1') continue;
      const like = looks.get(JSON.stringify([el.localName, lookOf(el)]));
      if (like !== undefined) made.alike.push({ ...about(el), label: label(el), like });
    }
    for (const name of Object.keys(made)) made[name] = made[name].slice(0, 40);
    return JSON.stringify(made);
  }
  // What is seen of a control that the keyboard is on.
  const focusedLook = (el, rest) => {
    const now = lookOf(el);
    const outlined = now.outlineStyle !== 'none' && parseFloat(now.outlineWidth) > 0;
    // The browser's own ring is of two colours and seen on any ground; one that is see-through is not seen.
    const own = now.outlineStyle === 'auto', gone = outlined && !own && (parse(now.outlineColor)?.[3] ?? 1) < 0.05;
    const changed = NAMES.filter((name) => now[name] !== rest.look[name] && !(name.startsWith('outline') && (gone || !outlined)));
    // What lies over the control: nothing of it is in sight where other parts lie at all of these points.
    const box = el.getBoundingClientRect();
    const points = [0.5, 0.08, 0.92].flatMap((x) => [0.5, 0.1, 0.9].map((y) => [box.left + box.width * x, box.top + box.height * y]));
    const inside = points.filter(([x, y]) => x >= 0 && y >= 0 && x < innerWidth && y < innerHeight);
    const covered = box.width > 0 && inside.length > 0 && inside.every(([x, y]) => {
      const top = document.elementFromPoint(x, y);
      return top && !el.contains(top) && !top.contains(el);
    });
    // Words that show behind another part than the element itself (a label over a hidden box) are looked at on that.
    const around = el.parentElement ? getComputedStyle(el.parentElement) : null;
    const shownAround = around && around.outlineStyle !== 'none' && parseFloat(around.outlineWidth) > 0;
    return {
      ...about(el), label: label(el), changed: shownAround ? [...changed, 'around'] : changed, ring: outlined && !own && !gone ? parse(now.outlineColor) : null,
      wide: outlined ? parseFloat(now.outlineWidth) : 0, ground: el.parentElement ? groundOf(el.parentElement) : null, covered, words: otherWords(el, rest),
    };
  };
  // A key was pressed before, so that a control which is focused now looks as it does under the keyboard. The keyboard goes to controls with a
  // place of their own first, by that, and of a group of choices to one.
  const all = [...globalThis.formulonRest.keys()].filter((el) => el.isConnected && !el.closest('[inert]'));
  const group = (el) => (el.type === 'radio' && el.name ? `${el.form?.id ?? ''} ${el.name}` : '');
  const stands = new Set();
  const inTurn = all.filter((el) => {
    if (el.tabIndex < 0) return false;
    const name = group(el);
    if (!name) return true;
    if (stands.has(name) || (!el.checked && all.some((one) => group(one) === name && one.checked))) return false;
    stands.add(name);
    return true;
  });
  const ordered = [...inTurn.filter((el) => el.tabIndex > 0).sort((a, b) => a.tabIndex - b.tabIndex), ...inTurn.filter((el) => el.tabIndex === 0)];
  const focused = [], left = all.filter((el) => !inTurn.includes(el) && !group(el));
  for (const el of ordered) {
    el.focus();
    if (document.activeElement === el) focused.push(focusedLook(el, globalThis.formulonRest.get(el)));
    else left.push(el);
  }
  document.activeElement?.blur?.();
  const unreached = left.slice(0, 20).map((el) => ({ ...about(el), label: label(el), changed: [], ring: null, wide: 0, ground: null, covered: false }));
  return JSON.stringify({ focused, unreached });
}
