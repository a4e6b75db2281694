"""What a page shows wrong in Chromium: text off the screen, broken words, a header that takes a fifth of it, sideways scrolling."""

# What a page shows wrong: see the module. A wide table scrolls in a box of its own. A word is broken where a line ends between two of its letters and no hyphen, soft or
# hard, and no place to break (<wbr>) stands there. Scripts that divide words anywhere are left out.
FAULTS = r"""() => {
  const wide = document.documentElement.clientWidth, found = [];
  if (document.documentElement.scrollWidth > wide) found.push(`scrolls sideways by ${document.documentElement.scrollWidth - wide}`);
  // Letters of scripts that are not divided anywhere.
  const LETTERS = /(?:(?![\p{scx=Han}\p{scx=Thai}\p{scx=Hira}\p{scx=Kana}])\p{L}){2,}/gu;
  const rooms = new Map();
  const roomOf = el => {
    if (!rooms.has(el)) {
      let block = el;
      while (block !== document.body && getComputedStyle(block).display === 'inline') block = block.parentElement;
      const look = getComputedStyle(el), anywhere = look.wordBreak === 'break-all' || look.lineBreak === 'anywhere';
      rooms.set(el, { room: anywhere ? 0 : block.clientWidth, size: parseFloat(look.fontSize) });
    }
    return rooms.get(el);
  };
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const node = walker.currentNode;
    if (!node.parentElement.checkVisibility() || node.parentElement.closest('script,style,svg,.skip,.table-box')) continue;
    const whole = document.createRange(); whole.selectNodeContents(node);
    for (const box of whole.getClientRects())
      if (box.width > 1 && (box.right > wide + 0.5 || box.left < -0.5)) found.push(`off the screen: ${node.data.slice(0, 40)}`);
    if (whole.getClientRects().length < 2) continue;
    // A word is broken only where it, or what it is tied to, is wider than a line: whoever is short needs no look.
    const { room, size } = roomOf(node.parentElement);
    for (const tied of node.data.matchAll(/[^ \t\n\u00ad\u200b-]+/g)) {
      if (tied[0].length * size * 1.6 < room) continue;
      for (const word of tied[0].matchAll(LETTERS)) {
        const from = tied.index + word.index, range = document.createRange();
        const top = i => { range.setStart(node, i); range.setEnd(node, i + 1); return [...range.getClientRects()].filter(r => r.width > 0).at(-1)?.top; };
        range.setStart(node, from); range.setEnd(node, from + word[0].length);
        if (new Set([...range.getClientRects()].filter(r => r.width > 0).map(r => Math.round(r.top / 4))).size < 2) continue;
        for (let i = from + 1; i < from + word[0].length; i++) {
          const before = top(i - 1), here = top(i);
          if (before !== undefined && here !== undefined && here - before > 3) { found.push(`broken: ${node.data.slice(Math.max(0, i - 12), i)}|${node.data.slice(i, i + 8)}`); break; }
        }
      }
    }
  }
  const header = document.querySelector('header').getBoundingClientRect().height;
  if (header > innerHeight / 5) found.push(`header of ${Math.round(header)} px`);
  return [...new Set(found)];
}"""
