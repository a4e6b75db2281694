"""Compositions for the real contents of a section: searched, measured, ranked."""
