"""Measured facts: pages as a browser draws them, read page by page and width by width, and handed to the same rules as predicted ones.

`files.py` takes a static site in, `serving.py` hands it to a browser and nothing else, `chromium.py` runs that browser, `probe.js` looks,
`seen.py` has the form of what it saw, `behind.py` reads pixels where only they tell, `facts.py` makes facts of it, `foreign.py` is the whole.
"""
