"""One reader per format. Each takes a file's name and bytes and gives a Reading."""
