"""Makes the application's database and its role, which owns that database and may do nothing else on the server. What an earlier
version made as the server's owner is handed over."""

import json
import os
from pathlib import Path

import psycopg
from psycopg import sql
from psycopg.conninfo import make_conninfo

settings = json.loads((Path(__file__).resolve().parent.parent / "var" / "settings.json").read_text())
ROLE, NAME = settings["DB_USER"], settings["DB_NAME"]
OWNER = {"user": os.environ["FORMULON_OWNER"], "password": os.environ["FORMULON_OWNER_PASSWORD"]}
KINDS = {"r": "TABLE", "p": "TABLE", "v": "VIEW", "m": "MATERIALIZED VIEW", "S": "SEQUENCE"}


def connect(database: str) -> psycopg.Connection[tuple[str, ...]]:
    where = make_conninfo(host=settings["DB_HOST"], port=settings["DB_PORT"], dbname=database, **OWNER)
    return psycopg.connect(where, autocommit=True)


with connect("postgres") as connection:
    known = connection.execute("select 1 from pg_roles where rolname = %s", [ROLE]).fetchone()
    text = "alter role {} with password {}" if known else "create role {} login nosuperuser nocreatedb nocreaterole password {}"
    connection.execute(sql.SQL(text).format(sql.Identifier(ROLE), sql.Literal(settings["DB_PASSWORD"])))
    if connection.execute("select 1 from pg_database where datname = %s", [NAME]).fetchone() is None:
        connection.execute(sql.SQL("create database {} owner {}").format(sql.Identifier(NAME), sql.Identifier(ROLE)))
    connection.execute(sql.SQL("alter database {} owner to {}").format(sql.Identifier(NAME), sql.Identifier(ROLE)))

with connect(NAME) as connection:
    role = sql.Identifier(ROLE)
    connection.execute(sql.SQL("alter schema public owner to {}").format(role))
    mine = (
        "select c.relname, c.relkind from pg_class c join pg_namespace n on n.oid = c.relnamespace where n.nspname = 'public'"
    )
    # A sequence that a column owns goes with its table.
    owned = " and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype in ('a', 'i'))"
    for name, kind in connection.execute(mine + owned + " and pg_get_userbyid(c.relowner) <> %s", [ROLE]).fetchall():
        if kind in KINDS:
            order = "alter " + KINDS[kind] + " {} owner to {}"
            connection.execute(sql.SQL(order).format(sql.Identifier("public", name), role))
    functions = "select p.oid::regprocedure::text from pg_proc p join pg_namespace n on n.oid = p.pronamespace where n.nspname = 'public'"
    for (name,) in connection.execute(functions + " and pg_get_userbyid(p.proowner) <> %s", [ROLE]).fetchall():
        connection.execute(sql.SQL("alter routine {} owner to {}").format(sql.SQL(name), role))
    types = (
        "select t.typname from pg_type t join pg_namespace n on n.oid = t.typnamespace where n.nspname = 'public' "
        "and t.typtype in ('e', 'd') and pg_get_userbyid(t.typowner) <> %s"
    )
    for (name,) in connection.execute(types, [ROLE]).fetchall():
        connection.execute(sql.SQL("alter type {} owner to {}").format(sql.Identifier("public", name), role))
