"""What a page shows wrong in Chromium: text off the screen, broken words, a header that takes a fifth of it, sideways scrolling."""

# What a page shows wrong: see the module. A wide table scrolls in a box of its own. A word is broken where a line ends between two of its letters and no hyphen, soft or
# hard, and no place to break (<wbr>) stands there. Scripts that divide words anywhere are left out.
FAULTS = r"""() => {
  const wide = document.documentElement.clientWidth, found = [];
  if (document.documentElement.scrollWidth > wide) found.push(`scrolls sideways by ${document.documentElement.scrollWidth - wide}`);
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const node = walker.currentNode;
    if (!node.parentElement.checkVisibility() || node.parentElement.closest('script,style,svg,.skip,.table-box')) continue;
    const whole = document.createRange(); whole.selectNodeContents(node);
    for (const box of whole.getClientRects())
      if (box.width > 1 && (box.right > wide + 0.5 || box.left < -0.5)) found.push(`off the screen: ${node.data.slice(0, 40)}`);
    if (whole.getClientRects().length < 2) continue;
    // Lines are found by bisection: to measure every letter takes most of the time of these tests.
    const end = node.length, range = document.createRange();
    // Beside a letter its range may have the box of a hyphen before it, or, of a letter that runs from right to left, of a space after it.
    const box = i => {
      range.setStart(node, i); range.setEnd(node, i + 1);
      return [...range.getClientRects()].filter(r => r.width > 0).at(/[\u0590-\u08ff]/.test(node.data[i]) ? 0 : -1);
    };
    const letter = i => /[\p{L}]/u.test(node.data[i]) && !/[\p{scx=Han}\p{scx=Thai}\p{scx=Hira}\p{scx=Kana}]/u.test(node.data[i]);
    const boxed = (i, most) => { while (i < most && !box(i)) i++; return i; };
    for (let i = boxed(0, end); i < end; ) {
      const top = box(i).top;
      let low = i, high = end;
      while (high - low > 1) {
        const middle = (low + high) >> 1, at = boxed(middle, high);
        if (at === high || box(at).top - top > 3) high = middle; else low = at;
      }
      const next = boxed(high, end);
      if (next < end && letter(next) && letter(next - 1) && box(next - 1))
        found.push(`broken: ${node.data.slice(Math.max(0, next - 12), next)}|${node.data.slice(next, next + 8)}`);
      i = next;
    }
  }
  const header = document.querySelector('header').getBoundingClientRect().height;
  if (header > innerHeight / 5) found.push(`header of ${Math.round(header)} px`);
  return [...new Set(found)];
}"""
