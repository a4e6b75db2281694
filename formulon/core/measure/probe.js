// What a page shows at one width, told as plain data. Runs in the page by the driver's hand; the page's own scripts do not. `brief` tells
// only how wide it is scrolled, what sticks out, and which texts are cut; `whole` tells of controls, corners and shadows, too.
({ brief, whole }) => {
  const INSIDE = 0.5;
  const root = document.documentElement;
  // Boxes are told from the page's own corner.
  scrollTo(0, 0);
  const startX = scrollX, startY = scrollY;
  const style = new Map();
  const styleOf = (el, pseudo = '') => {
    const key = pseudo ? `${pseudo}` : '';
    let known = style.get(el);
    if (!known) style.set(el, (known = {}));
    return (known[key] ??= getComputedStyle(el, pseudo || undefined));
  };
  // What places and colours are called; besides.js has the same.
  // (names)
  // A selector that finds the element again: its id, else its steps down from the nearest id.
  // What is the same at every width is worked out once, for no script changes the page.
  const kept = (globalThis.formulonKept ??= { selectors: new Map(), ids: new Map(), steps: new Map(), nodes: new Map(), sections: new Map() });
  const { selectors, ids, steps } = kept;
  if (!ids.size) for (const one of document.querySelectorAll('[id]')) ids.set(one.id, (ids.get(one.id) ?? 0) + 1);
  // Which of its kind an element is among its siblings, from 1; 0 where it is the only one. Told for all of them at once.
  const stepOf = (el) => {
    if (!steps.has(el)) {
      const counts = new Map();
      for (const one of el.parentElement.children) counts.set(one.localName, (counts.get(one.localName) ?? 0) + 1);
      const at = new Map();
      for (const one of el.parentElement.children) {
        at.set(one.localName, (at.get(one.localName) ?? 0) + 1);
        steps.set(one, counts.get(one.localName) > 1 ? at.get(one.localName) : 0);
      }
    }
    return steps.get(el);
  };
  const select = (el) => {
    let made = selectors.get(el);
    if (made !== undefined) return made;
    if (el.id && ids.get(el.id) === 1) made = `#${CSS.escape(el.id)}`;
    else if (!el.parentElement || el === document.body) made = el.localName;
    else {
      const number = stepOf(el);
      const step = number ? `${el.localName}:nth-of-type(${number})` : el.localName;
      const above = select(el.parentElement);
      made = above === 'body' ? step : `${above} > ${step}`;
    }
    selectors.set(el, made);
    return made;
  };
  // Words without the places at which they may be divided, which nobody sees.
  const plain = (text) => text.replace(/\u00ad/g, '').replace(/\s+/g, ' ').trim();
  const PARTS = 'section, article, header, footer, nav, aside, form, main';
  // A site of Formulon's own says what its sections and slots are.
  const ours = !!document.querySelector('[data-section]');
  const slotOf = (el) => (ours ? ((el.closest('[data-slot]') ?? el.querySelector('[data-slot]'))?.dataset.slot ?? '') : '');
  const sectionOf = (el) => {
    let known = kept.sections.get(el);
    if (known === undefined) kept.sections.set(el, (known = partOf(el)));
    return known;
  };
  const partOf = (el) => {
    const named = ours && el.closest('[data-section]');
    if (named) return named.dataset.section;
    let part = el.closest(PARTS);
    // A header or footer within an article or section belongs to it.
    while (part && /^(header|footer|form|nav)$/.test(part.localName) && part.parentElement?.closest('section, article'))
      part = part.parentElement.closest('section, article');
    return part && part !== document.body ? select(part) : 'body';
  };
  const parse = (text) => {
    const found = text.match(/^rgba?\(([^)]+)\)$/);
    if (found) {
      const parts = found[1].split(/[\s,/]+/).map(Number);
      return [parts[0], parts[1], parts[2], parts[3] ?? 1];
    }
    const srgb = text.match(/^color\(srgb ([^)]+)\)$/);
    if (srgb) {
      const parts = srgb[1].split(/[\s/]+/).map(Number);
      return [parts[0] * 255, parts[1] * 255, parts[2] * 255, parts[3] ?? 1];
    }
    return null; // another space: only pixels tell
  };
  const over = (front, back) => {
    const a = front[3] + back[3] * (1 - front[3]);
    if (!a) return [0, 0, 0, 0];
    return [0, 1, 2].map((i) => (front[i] * front[3] + back[i] * back[3] * (1 - front[3])) / a).concat(a);
  };
  // (names)
  const shown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true });
  // Hidden from sight and still read out: a box of hardly anything, or cut to it.
  const hidden = new Map([[document.body, false]]);
  const unseen = (el) => {
    if (!el) return false;
    let known = hidden.get(el);
    if (known === undefined) hidden.set(el, (known = away(el) || unseen(el.parentElement)));
    return known;
  };
  const away = (el) => {
    const made = styleOf(el);
    if (made.position !== 'absolute' && made.position !== 'fixed') return false;
    const box = el.getBoundingClientRect();
    if ((box.width <= 2 && box.height <= 2) || made.clipPath === 'inset(50%)' || /rect\(0(px)?,? 0(px)?,? 0(px)?,? 0(px)?\)/.test(made.clip)) return true;
    return box.right < 0 || box.bottom + startY < 0;
  };
  const PAINTED = /^(img|video|canvas|svg|iframe|object|embed|picture)$/;
  // Whether only pixels tell what an element draws: a picture, a gradient, a mixture, a veil.
  const drawings = new Map();
  const drawn = (el) => {
    let known = drawings.get(el);
    if (known === undefined) drawings.set(el, (known = draws(el)));
    return known;
  };
  const draws = (el) => {
    if (PAINTED.test(el.localName) || el.ownerSVGElement) return true;
    const made = styleOf(el);
    if (made.backgroundImage !== 'none' || made.mixBlendMode !== 'normal' || made.filter !== 'none' || made.backdropFilter !== 'none') return true;
    if (made.opacity !== '1' || made.maskImage !== 'none' || made.backgroundClip === 'text') return true;
    return ['::before', '::after'].some((pseudo) => {
      const own = styleOf(el, pseudo);
      return own.content !== 'none' && own.content !== 'normal' && (own.backgroundImage !== 'none' || (parse(own.backgroundColor) ?? [0, 0, 0, 1])[3] > 0) && own.position === 'absolute';
    });
  };
  // What lies behind a text at a point: colours from the top down to an opaque one, as far as they can be told.
  const backs = new Map();
  const behindAt = (el, x, y) => {
    const all = document.elementsFromPoint(x, y);
    let from = all.indexOf(el);
    if (from < 0) from = all.findIndex((one) => el.contains(one) || one.contains(el));
    if (from < 0) return { told: false };
    let color = [0, 0, 0, 0];
    for (const one of all.slice(from)) {
      if (drawn(one)) return { told: false };
      let back = backs.get(one);
      if (back === undefined) backs.set(one, (back = parse(styleOf(one).backgroundColor)));
      if (!back) return { told: false };
      color = over(color, back);
      if (color[3] >= 0.999) return { told: true, color };
    }
    return { told: true, color: over(color, [255, 255, 255, 1]) };
  };
  const veils = new Map();
  const veiled = (el) => {
    if (!el || el === root) return false;
    let known = veils.get(el);
    if (known === undefined) {
      const made = styleOf(el);
      known = made.opacity !== '1' || made.filter !== 'none' || made.mixBlendMode !== 'normal' || made.maskImage !== 'none' || veiled(el.parentElement);
      veils.set(el, known);
    }
    return known;
  };
  const linesOf = (rects) => {
    const tops = [];
    for (const one of rects) if (!tops.some((top) => Math.abs(top - one.top) < one.height / 2)) tops.push(one.top);
    return tops.length;
  };
  // The part that breaks a text into lines: runs within it share them.
  const blockOf = (el) => {
    let block = el;
    while (block.parentElement && block !== document.body && styleOf(block).display === 'inline') block = block.parentElement;
    return block;
  };
  // The language of a text where its page does not say it.
  const langOf = (el) => { const said = el.closest('[lang]'); return said && said !== root ? said.lang : ''; };
  const NONE = [];
  const own = (el) => {
    let known = kept.nodes.get(el);
    if (!known) {
      known = /^(script|style|template|noscript|option)$/.test(el.localName) || el.closest('svg') ? NONE : [...el.childNodes].filter((one) => one.nodeType === 3 && one.data.trim());
      kept.nodes.set(el, known);
    }
    return known;
  };
  const label = (el) => {
    const by = (el.getAttribute('aria-labelledby') ?? '').split(/\s+/).filter(Boolean).map((id) => document.getElementById(id)?.textContent ?? '').join(' ');
    const said = by.trim() || el.getAttribute('aria-label') || '';
    if (said.trim()) return said.trim();
    const pictures = [...el.querySelectorAll('img[alt], svg[aria-label], input[alt]')].map((one) => one.getAttribute('alt') ?? one.getAttribute('aria-label'));
    const titles = [...el.querySelectorAll('svg > title')].map((one) => one.textContent);
    const words = [...el.childNodes].map((one) => (one.nodeType === 1 && one.getAttribute('aria-hidden') === 'true' ? '' : one.textContent)).join(' ');
    return plain([words, ...pictures, ...titles].join(' ')) || el.getAttribute('title')?.trim() || el.getAttribute('value')?.trim() || '';
  };
  const box = (rect) => [rect.left + startX, rect.top + startY, rect.width, rect.height].map((one) => Math.round(one * 100) / 100);

  const made = { texts: [], inText: [], empty: [], targets: [], pictures: [], links: [], fields: [], parts: [], out: [], looks: [], corners: [], shadows: [], drawn: [] };
  const seenParts = new Set();
  const everything = [...document.body.querySelectorAll('*')];
  const waiting = [];
  // The parts from an element outwards that show less than what they hold.
  const clippers = new Map();
  const clippersOf = (el) => {
    if (!el || el === document.body || el === root) return null;
    let known = clippers.get(el);
    if (known === undefined) {
      const clips = styleOf(el), more = clippersOf(el.parentElement);
      known = clips.overflowX === 'visible' && clips.overflowY === 'visible' ? more : { el, x: clips.overflowX, y: clips.overflowY, more };
      clippers.set(el, known);
    }
    return known;
  };
  // What can be scrolled to is not cut, in whichever direction that goes.
  const clipped = (el, left, right, bottom, size) => {
    const found = { cut: false, beyond: false };
    let across = true, down = true;
    for (let one = clippersOf(el); one && (across || down); one = one.more) {
      const edge = one.el.getBoundingClientRect(), folded = edge.width < 1 || edge.height < 1;
      // A font's box is higher than its letters, and may reach over a tight line.
      const beyondX = across && one.x !== 'visible' && (right > edge.right + 2 || left < edge.left - 2);
      const beyondY = down && one.y !== 'visible' && bottom > edge.bottom + size() * 0.35;
      found.beyond ||= folded || beyondX || beyondY;
      if (folded) break;
      found.cut ||= (/hidden|clip/.test(one.x) && beyondX) || (/hidden|clip/.test(one.y) && beyondY);
      if (/auto|scroll/.test(one.x)) across = false;
      if (/auto|scroll/.test(one.y)) down = false;
    }
    return found;
  };
  // The even colour that a part stands on; null where only pixels tell.
  const groundOf = (el) => {
    let color = [0, 0, 0, 0];
    for (let one = el; one && color[3] < 0.999; one = one.parentElement) {
      if (drawn(one)) return null;
      const back = parse(styleOf(one).backgroundColor);
      if (!back) return null;
      color = over(color, back);
    }
    return over(color, [255, 255, 255, 1]).slice(0, 3);
  };
  const cut = [], printed = [], paper = brief && matchMedia('print').matches;
  for (const el of everything) {
    const nodes = own(el);
    if (!nodes.length || !shown(el) || unseen(el)) continue;
    const range = document.createRange();
    const rects = [];
    for (const node of nodes) {
      range.selectNodeContents(node);
      rects.push(...[...range.getClientRects()].filter((one) => one.width > INSIDE && one.height > INSIDE));
    }
    if (!rects.length) continue;
    const look = styleOf(el);
    const left = Math.min(...rects.map((one) => one.left)), top = Math.min(...rects.map((one) => one.top));
    const right = Math.max(...rects.map((one) => one.right)), bottom = Math.max(...rects.map((one) => one.bottom));
    const text = () => plain(nodes.map((one) => one.data).join(' '));
    const held = clipped(el, left, right, bottom, () => parseFloat(look.fontSize));
    if (brief) {
      if (held.cut) cut.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), text: text().slice(0, 600) });
      // Of other words the browser sees to it that they can be read on white.
      if (paper && look.printColorAdjust === 'exact' && printed.length < 200) {
        const ink = parse(look.color), ground = ink && groundOf(el);
        if (ground) printed.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), text: text().slice(0, 80), ink, ground, size: parseFloat(look.fontSize), weight: Number(look.fontWeight) });
      }
      continue;
    }
    const words = text();
    const heading = el.closest('h1, h2, h3, h4, h5, h6, [role=heading]');
    const level = heading ? Number(heading.getAttribute('aria-level') ?? heading.localName[1]) || 2 : 0;
    const one = {
      at: select(el), slot: slotOf(el), section: sectionOf(el), tag: el.localName, level, headed: heading ? select(heading) : '', text: words.slice(0, 600),
      color: parse(look.color), size: parseFloat(look.fontSize), weight: Number(look.fontWeight), family: look.fontFamily, italic: look.fontStyle !== 'normal',
      line: parseFloat(look.lineHeight) || 0, lines: linesOf(rects), box: box({ left, top, width: right - left, height: bottom - top }),
      room: (el.closest('p, li, dd, dt, td, th, h1, h2, h3, h4, h5, h6, figcaption, blockquote, div') ?? el).clientWidth,
      disabled: el.closest('[disabled], [aria-disabled=true]') !== null, told: false, veiled: veiled(el), inline: look.display.startsWith('inline'), led: el.closest('a, button') !== null, upper: look.textTransform === 'uppercase' && words !== words.toUpperCase() ? true : words.length > 3 && words === words.toUpperCase() && words !== words.toLowerCase(),
      block: select(blockOf(el)), ...held, lang: langOf(el),
    };
    made.texts.push(one);
    const first = rects[0], last = rects[rects.length - 1];
    waiting.push({ el, one, points: [...new Set([first, last])].flatMap((r) => [[r.left + Math.min(3, r.width / 2), r.top + r.height / 2], [r.right - Math.min(3, r.width / 2), r.top + r.height / 2]]).map(([x, y]) => [x + startX, y + startY]) });
    seenParts.add(one.section);
  }
  const outside = () => {
    for (const el of everything) {
      const rect = el.getBoundingClientRect();
      if (rect.right > innerWidth + 1 && rect.width > 0 && shown(el) && !made.out.some((one) => el.closest(one.at))) {
        let hidden = false;
        for (let outer = el.parentElement; outer && outer !== document.body; outer = outer.parentElement) if (styleOf(outer).overflowX !== 'visible') hidden = true;
        if (!hidden && styleOf(el).position !== 'fixed') made.out.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), right: Math.round(rect.right) });
      }
      if (made.out.length > 20) break;
    }
  };
  if (brief) {
    outside();
    return JSON.stringify({ inner: innerWidth, wide: root.scrollWidth, out: made.out, cut, printed });
  }
  // Points are told only in sight: the page goes by, screen after screen.
  waiting.sort((a, b) => a.points[0][1] - b.points[0][1]);
  for (const { el, one, points } of waiting) {
    if (!one.color || one.veiled) continue;
    const found = [];
    for (const [x, y] of points) {
      if (y < scrollY || y > scrollY + innerHeight - 1) scrollTo(0, Math.max(0, y - innerHeight / 3));
      found.push(behindAt(el, Math.min(Math.max(x - scrollX, 0), innerWidth - 1), y - scrollY));
    }
    one.told = found.every((each) => each.told);
    one.backs = one.told ? found.map((each) => each.color.slice(0, 3)) : [];
  }
  scrollTo(0, 0);
  const pressed = 'a[href], button, input:not([type=hidden]), select, textarea, summary, [role=button], [role=link]';
  for (const el of document.body.querySelectorAll(pressed)) {
    if (!shown(el) || unseen(el)) continue;
    const look = styleOf(el);
    const rect = el.getBoundingClientRect();
    if (!rect.width || !rect.height) continue;
    const kind = el.localName === 'a' ? 'link' : /^(input|select|textarea)$/.test(el.localName) && !/^(submit|button|reset|image)$/.test(el.type) ? 'field' : 'button';
    const block = el.closest('p, li, dd, td, figcaption, blockquote');
    // Within a sentence a link is as large as its line (WCAG 2.2, 2.5.8, inline).
    const inline = kind === 'link' && look.display === 'inline' && !!block && block.textContent.trim().length > el.textContent.trim().length + 8;
    made.targets.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), label: label(el), kind, box: box(rect), inline });
    if (inline) {
      const around = styleOf(el.parentElement);
      const drawn = [...el.querySelectorAll('*'), el].some((one) => {
        const own = styleOf(one);
        return own.textDecorationLine !== 'none' || parseFloat(own.borderBottomWidth) > 0 || own.backgroundColor !== 'rgba(0, 0, 0, 0)' || own.backgroundImage !== 'none' ||
          Math.abs(own.fontWeight - around.fontWeight) >= 300 || own.fontStyle !== around.fontStyle;
      });
      made.inText.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), label: label(el), color: parse(look.color), around: parse(around.color), drawn });
    }
    if (kind === 'link') made.links.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), label: label(el), to: el.getAttribute('href') ?? '', address: String(el.href ?? '') });
    if (kind === 'field') {
      const named = label(el) || [...(el.labels ?? [])].map((one) => one.textContent.trim()).join(' ');
      made.fields.push({ at: select(el), slot: slotOf(el), section: sectionOf(el), label: named, type: el.type ?? el.localName, hint: el.getAttribute('placeholder') ?? '' });
    }
    seenParts.add(sectionOf(el));
  }
  for (const el of document.body.querySelectorAll('h1, h2, h3, h4, h5, h6, [role=heading]'))
    if (shown(el) && !label(el)) made.empty.push({ at: select(el), slot: slotOf(el), section: sectionOf(el) });
  // Whether a picture has its room before it is there.
  const reserved = (el, look) => {
    if (el.localName !== 'img' || look.aspectRatio !== 'auto' || /^(absolute|fixed)$/.test(look.position)) return true;
    const map = el.computedStyleMap?.();
    return !map || (String(map.get('height')) !== 'auto' && !/%/.test(String(map.get('height'))));
  };
  // What is done to a picture as it is drawn, of what a mark is not to have done to it.
  const altered = (el, look) => {
    const done = [look.filter !== 'none' && 'a filter', veiled(el) && look.filter === 'none' && 'a veil', look.boxShadow !== 'none' && 'a shadow', look.borderTopLeftRadius !== '0px' && 'round corners', look.clipPath !== 'none' && 'a part cut away'];
    const turned = new DOMMatrix(look.transform === 'none' ? '' : look.transform);
    if (look.rotate !== 'none' || Math.abs(turned.b) > 0.01 || Math.abs(turned.c) > 0.01 || turned.a < 0 || turned.d < 0) done.push('a turn');
    return done.filter(Boolean);
  };
  for (const el of document.body.querySelectorAll('img, input[type=image], area[href], [role=img]')) {
    if (!shown(el)) continue;
    const rect = el.getBoundingClientRect();
    const alt = el.localName === 'img' || el.localName === 'input' || el.localName === 'area' ? el.getAttribute('alt') : (el.getAttribute('aria-label') ?? '');
    const look = styleOf(el);
    made.pictures.push({
      at: select(el), slot: slotOf(el), section: sectionOf(el), source: el.currentSrc || el.src || '', alt, named: el.getAttribute('aria-label') ?? el.getAttribute('title') ?? '',
      hidden: el.closest('[aria-hidden=true], [role=presentation], [role=none]') !== null || /^(presentation|none)$/.test(el.getAttribute('role') ?? ''),
      led: el.closest('a, button') ? label(el.closest('a, button')) : null,
      natural: [el.naturalWidth ?? 0, el.naturalHeight ?? 0], lazy: el.getAttribute('loading') === 'lazy', reserved: reserved(el, look), box: box(rect), inside: [el.clientWidth, el.clientHeight], fit: look.objectFit, altered: ours ? altered(el, look) : [], broken: el.localName === 'img' && el.complete && !el.naturalWidth,
      ground: ours && whole && el.src?.includes('/marks/') ? groundOf(el.parentElement) : null,
    });
    seenParts.add(sectionOf(el));
  }
  outside();
  if (whole) {
    for (const el of document.body.querySelectorAll(pressed)) {
      const look = styleOf(el), rect = el.getBoundingClientRect();
      if (!shown(el) || unseen(el) || !rect.width || el.closest('[disabled], [aria-disabled=true]')) continue;
      const filled = parse(look.backgroundColor), edge = look.borderTopStyle !== 'none' ? parseFloat(look.borderTopWidth) : 0;
      const field = /^(input|select|textarea)$/.test(el.localName) && !/^(submit|button|reset|image)$/.test(el.type);
      const button = !field && (el.localName !== 'a' || el.getAttribute('role') === 'button' || (look.display !== 'inline' && ((filled ?? [0, 0, 0, 1])[3] > 0.05 || edge > 0)));
      if (!field && (!button || el.localName === 'summary')) continue;
      const low = look.borderBottomStyle !== 'none' ? parseFloat(look.borderBottomWidth) : 0;
      made.looks.push({
        at: select(el), slot: slotOf(el), section: sectionOf(el), label: label(el), kind: field ? (/^(checkbox|radio|range|color|file)$/.test(el.type) ? 'choice' : 'field') : 'button',
        filled: filled && filled[3] > 0.05 ? filled : null, ground: groundOf(el.parentElement), plain: look.backgroundImage === 'none' && look.opacity === '1',
        edge: Math.max(edge, low), edged: parse(edge ? look.borderTopColor : look.borderBottomColor), radius: Math.min(parseFloat(look.borderTopLeftRadius) || 0, rect.height / 2), high: rect.height,
        family: look.fontFamily,
        hint: el.getAttribute('placeholder') && !el.value ? parse(getComputedStyle(el, '::placeholder').color) : null,
      });
    }
    const corners = new Map(), shadows = new Map();
    for (const el of everything) {
      if (el.closest('svg')) continue;
      const look = styleOf(el), rect = el.getBoundingClientRect();
      if (rect.width < 24 || rect.height < 16 || !shown(el)) continue;
      const painted = look.backgroundColor !== 'rgba(0, 0, 0, 0)' || look.backgroundImage !== 'none' || parseFloat(look.borderTopWidth) > 0 || el.localName === 'img';
      const radius = Math.round((parseFloat(look.borderTopLeftRadius) || 0) * 10) / 10;
      const round = radius >= Math.min(rect.width, rect.height) / 2 - 1 || look.borderTopLeftRadius.endsWith('%');
      if (painted && radius > 0 && !round) corners.has(radius) ? corners.get(radius).count++ : corners.set(radius, { value: radius, count: 1, at: select(el), slot: slotOf(el), section: sectionOf(el) });
      const shadow = look.boxShadow;
      if (shadow !== 'none' && !/inset/.test(shadow)) shadows.has(shadow) ? shadows.get(shadow).count++ : shadows.set(shadow, { value: shadow, count: 1, at: select(el), slot: slotOf(el), section: sectionOf(el) });
    }
    for (const el of document.body.querySelectorAll('svg, video, canvas, iframe, object, hr')) {
      const rect = el.getBoundingClientRect();
      if (!el.ownerSVGElement && shown(el) && rect.width > 8 && rect.height > 1) made.drawn.push(box(rect));
    }
    for (const el of everything) {
      const rect = el.getBoundingClientRect();
      if (rect.height > 40 && rect.height < innerHeight * 3 && rect.width > 40 && /url\(/.test(styleOf(el).backgroundImage + styleOf(el, '::before').backgroundImage + styleOf(el, '::after').backgroundImage)) made.drawn.push(box(rect));
    }
    // Families whose files are the site's own: what another host has is not loaded here.
    const brought = new Set(), far = new Set();
    const elsewhere = (to) => !/^(data|blob):/.test(to) && URL.canParse(to, document.baseURI) && new URL(to, document.baseURI).host !== location.host;
    const faces = (rules) => {
      for (const rule of rules) {
        if (rule instanceof CSSFontFaceRule) {
          const name = rule.style.getPropertyValue('font-family').replace(/^["']|["']$/g, ''), src = rule.style.getPropertyValue('src');
          brought.add(name);
          if ([...src.matchAll(/url\(\s*["']?([^"')]+)/g)].some(([, to]) => elsewhere(to))) far.add(name);
        } else if (rule.styleSheet) try { faces(rule.styleSheet.cssRules); } catch { /* of another host */ }
        else if (rule.cssRules) faces(rule.cssRules);
      }
    };
    for (const sheet of document.styleSheets) try { faces(sheet.cssRules); } catch { /* of another host */ }
    made.faces = [...brought].filter((name) => !far.has(name));
    made.unread = [...new Set([...document.fonts].filter((one) => one.status === 'error').map((one) => one.family.replace(/^["']|["']$/g, '')))];
    made.corners = [...corners.values()].map((one) => ({ ...one, value: String(one.value) }));
    made.shadows = [...shadows.values()].slice(0, 40);
  }
  const attribute = (selector, name) => document.querySelector(selector)?.getAttribute(name) ?? '';
  const named = (part) => (ours && document.querySelector(`[data-section="${CSS.escape(part)}"]`)) || (part === 'body' ? document.body : document.querySelector(part));
  const frames = (part) => {
    const el = named(part);
    return !!el && (/^(header|footer|nav|aside)$/.test(el.localName) ? !el.closest('main, article, section') : false);
  };
  // As text: handed over as it is, ten times as fast as an object that is taken apart on the way.
  return JSON.stringify({
    ...made,
    parts: [...seenParts].map((at) => ({ at, kind: named(at)?.localName ?? '', frame: frames(at), ...(ours && whole && at !== 'body' && named(at) ? { box: box(named(at).getBoundingClientRect()), ground: groundOf(named(at)) } : {}) })),
    lang: root.lang ?? '', title: document.title ?? '', description: attribute('meta[name=description i]', 'content'), robots: attribute('meta[name=robots i]', 'content'),
    viewport: attribute('meta[name=viewport i]', 'content'), canonical: attribute('link[rel=canonical i]', 'href'), icons: [...document.querySelectorAll('link[rel~=icon i]')].map((one) => one.href),
    mains: [...document.querySelectorAll('main, [role=main]')].filter(shown).length, ids: [...document.querySelectorAll('[id]')].map((one) => one.id).concat([...document.querySelectorAll('a[name]')].map((one) => one.name)),
    twice: (() => { const seen = new Set(), two = new Set(); for (const one of document.querySelectorAll('[id]')) (seen.has(one.id) ? two : seen).add(one.id); return [...two]; })(),
    inner: innerWidth, wide: root.scrollWidth, high: root.scrollHeight, backs: getComputedStyle(document.body).backgroundColor,
    requests: performance.getEntriesByType('resource').map((one) => ({ address: one.name, bytes: one.decodedBodySize ?? 0, kind: one.initiatorType, status: one.responseStatus ?? 0 })),
  });
}
