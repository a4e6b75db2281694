"""Makes the application's database where it does not exist."""

import json
from pathlib import Path

import psycopg
from psycopg import sql

settings = json.loads((Path(__file__).resolve().parent.parent / "var" / "settings.json").read_text())
with psycopg.connect(
    host=settings["DB_HOST"], port=settings["DB_PORT"], user=settings["DB_USER"], password=settings["DB_PASSWORD"],
    dbname="postgres", autocommit=True,
) as connection:  # fmt: skip
    name = settings["DB_NAME"]
    if connection.execute("select 1 from pg_database where datname = %s", [name]).fetchone() is None:
        connection.execute(sql.SQL("create database {}").format(sql.Identifier(name)))
