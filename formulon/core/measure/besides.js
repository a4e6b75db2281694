// What is seen of controls under the keyboard. `what` is "rest" to remember how they look at rest, "focus" for the one that the keyboard is
// on, "left" for those that it did not come to.
(what) => {
  const PRESSED = 'a[href], button:not([disabled]), input:not([type=hidden]):not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';
  // (names)
  const shown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true });
  const about = (el) => ({ at: select(el), slot: slotOf(el), section: sectionOf(el) });
  const label = (el) => (el.getAttribute('aria-label') || el.textContent || el.getAttribute('placeholder') || el.id || '').replace(/\s+/g, ' ').trim().slice(0, 80);
  const NAMES = ['outlineStyle', 'outlineColor', 'outlineWidth', 'boxShadow', 'backgroundColor', 'color', 'borderTopColor', 'borderTopWidth', 'borderBottomColor', 'borderBottomWidth', 'textDecorationLine', 'textDecorationThickness', 'textDecorationColor', 'backgroundImage', 'filter', 'transform'];
  const lookOf = (el) => {
    const look = getComputedStyle(el);
    return Object.fromEntries(NAMES.map((name) => [name, look[name]]));
  };
  if (what === 'rest') {
    scrollTo(0, 0);
    document.activeElement?.blur?.();
    globalThis.formulonRest = new Map();
    for (const el of document.querySelectorAll(PRESSED)) if (shown(el)) globalThis.formulonRest.set(el, lookOf(el));
    return JSON.stringify(globalThis.formulonRest.size);
  }
  if (what === 'left') {
    // Links within a page that lead to its start for whoever listens, and what stands out of sight, come into sight when they are reached.
    const left = [...globalThis.formulonRest.keys()].filter((el) => !globalThis.formulonReached?.has(el) && el.isConnected);
    return JSON.stringify(left.filter((el) => !(el.type === 'radio') && !el.closest('[inert]')).slice(0, 20).map((el) => ({ ...about(el), label: label(el), changed: [], ring: null, wide: 0, ground: null, covered: false })));
  }
  const el = document.activeElement;
  globalThis.formulonReached ??= new Set();
  if (!el || el === document.body || el === document.documentElement || globalThis.formulonReached.has(el)) return 'null';
  globalThis.formulonReached.add(el);
  const rest = globalThis.formulonRest.get(el);
  if (!rest) return JSON.stringify({ skip: true });
  const now = lookOf(el);
  const outlined = now.outlineStyle !== 'none' && parseFloat(now.outlineWidth) > 0;
  // The browser's own ring is of two colours and seen on any ground; one that is see-through is not seen.
  const own = now.outlineStyle === 'auto', gone = outlined && !own && (parse(now.outlineColor)?.[3] ?? 1) < 0.05;
  const changed = NAMES.filter((name) => now[name] !== rest[name] && !(name.startsWith('outline') && (gone || !outlined)));
  // What lies over the control: nothing of it is in sight where other parts lie at all of these points.
  const box = el.getBoundingClientRect();
  const points = [0.5, 0.08, 0.92].flatMap((x) => [0.5, 0.1, 0.9].map((y) => [box.left + box.width * x, box.top + box.height * y]));
  const inside = points.filter(([x, y]) => x >= 0 && y >= 0 && x < innerWidth && y < innerHeight);
  const covered = box.width > 0 && inside.length > 0 && inside.every(([x, y]) => {
    const top = document.elementFromPoint(x, y);
    return top && !el.contains(top) && !top.contains(el);
  });
  let ground = [0, 0, 0, 0];
  let told = true;
  for (let one = el.parentElement; one && ground[3] < 0.999; one = one.parentElement) {
    const look = getComputedStyle(one);
    const back = parse(look.backgroundColor);
    if (!back || look.backgroundImage !== 'none' || look.opacity !== '1') { told = false; break; }
    const a = ground[3] + back[3] * (1 - ground[3]);
    ground = a ? [0, 1, 2].map((i) => (ground[i] * ground[3] + back[i] * back[3] * (1 - ground[3])) / a).concat(a) : ground;
  }
  const white = [0, 1, 2].map((i) => ground[i] * ground[3] + 255 * (1 - ground[3]));
  // Words that show behind another part than the element itself (a label over a hidden box) are looked at on that.
  const around = el.parentElement ? getComputedStyle(el.parentElement) : null;
  const shownAround = around && around.outlineStyle !== 'none' && parseFloat(around.outlineWidth) > 0;
  return JSON.stringify({
    ...about(el), label: label(el), changed: shownAround ? [...changed, 'around'] : changed, ring: outlined && !own && !gone ? parse(now.outlineColor) : null,
    wide: outlined ? parseFloat(now.outlineWidth) : 0, ground: told ? white : null, covered,
  });
}
