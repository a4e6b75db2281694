"""What was taken back is told by the history itself."""

from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [("studio", "0007_appended_history")]

    operations = [migrations.RemoveField("entry", "undone")]
