// What is seen of controls in their states. `what` is "rest" to remember how they look at rest, "pointer" for all of them as under the pointer,
// "focus" for one after the other as under the keyboard, and those that it does not come to.
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
  if (what === 'rest') {
    scrollTo(0, 0);
    document.activeElement?.blur?.();
    globalThis.formulonRest = new Map();
    for (const el of [...document.querySelectorAll(PRESSED)].slice(0, 300)) if (shown(el)) globalThis.formulonRest.set(el, { look: lookOf(el), words: wordsOf(el), inside: [...el.querySelectorAll('*')].slice(0, 6).map(lookOf), wide: el.offsetWidth, high: el.offsetHeight });
    return JSON.stringify(globalThis.formulonRest.size);
  }
  if (what === 'pointer') {
    // All controls at once are as under the pointer: in the page's own rules :hover is put for what holds of every element.
    const was = [];
    const point = (rules) => {
      for (const rule of rules) {
        if (rule.selectorText?.includes(':hover')) {
          was.push([rule, rule.selectorText]);
          rule.selectorText = rule.selectorText.replaceAll(':hover', ':not(.formulon-rest)');
        }
        if (rule.cssRules) point(rule.cssRules);
      }
    };
    for (const sheet of document.styleSheets) {
      try { point(sheet.cssRules); } catch { /* one of another origin, which nobody may read */ }
    }
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
