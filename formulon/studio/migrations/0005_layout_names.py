"""Four layouts have names of their own now, and files know their size. Documents, plans, history and releases are rewritten."""

from django.db import migrations
from django.db.models.functions import Length

_NAMES = {
    ("hero", "cover"): "backcloth",
    ("hero", "poster"): "frieze",
    ("hero", "plain"): "words",
    ("picture_text", "overlap"): "sill",
}
_ALONE = {old: new for (_, old), new in _NAMES.items()}


def renamed(value, names=_NAMES, alone=_ALONE):
    """The value with the layouts of sections renamed, in patches too, whose operations name only the layout."""
    if isinstance(value, list):
        return [renamed(part, names, alone) for part in value]
    if not isinstance(value, dict):
        return value
    made = {key: renamed(part, names, alone) for key, part in value.items()}
    if "kind" in made and "layout" in made:
        made["layout"] = names.get((made["kind"], made["layout"]), made["layout"])
    if "op" in made and str(made.get("path", "")).endswith("/layout") and isinstance(made.get("value"), str):
        made["value"] = alone.get(made["value"], made["value"])
    return made


def _rewrite(apps, names, alone):
    fields = {"Document": ["body"], "Brand": ["planned"], "Entry": ["edits"], "Release": ["snapshot"]}
    for model, columns in fields.items():
        rows = apps.get_model("studio", model).objects
        for row in rows.only("pk", *columns).iterator():
            changes = {column: renamed(getattr(row, column), names, alone) for column in columns}
            if any(getattr(row, column) != value for column, value in changes.items()):
                rows.filter(pk=row.pk).update(**changes)


def forward(apps, schema_editor):
    _rewrite(apps, _NAMES, _ALONE)
    for model in ("StoredFile", "Blob"):
        rows = apps.get_model("studio", model).objects
        for key, size in rows.annotate(length=Length("data")).values_list("pk", "length"):
            rows.filter(pk=key).update(size=size)


def backward(apps, schema_editor):
    back = {(kind, new): old for (kind, old), new in _NAMES.items()}
    _rewrite(apps, back, {new: old for old, new in _ALONE.items()})


class Migration(migrations.Migration):
    dependencies = [("studio", "0004_kept_sizes")]
    operations = [migrations.RunPython(forward, backward)]
