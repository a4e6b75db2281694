"""The administration of workspaces and brands."""

from django.contrib import admin

from formulon.studio.models import Brand, Document, Entry, Membership, Release, Workspace


class MembershipInline(admin.TabularInline):  # type: ignore[type-arg]
    model = Membership
    extra = 0


@admin.register(Workspace)
class WorkspaceAdmin(admin.ModelAdmin):  # type: ignore[type-arg]
    inlines = [MembershipInline]


@admin.register(Brand)
class BrandAdmin(admin.ModelAdmin):  # type: ignore[type-arg]
    list_display = ["slug", "workspace", "created"]


@admin.register(Document, Entry, Release)
class ReadOnlyAdmin(admin.ModelAdmin):  # type: ignore[type-arg]
    """For looking; changes go through the services, which keep the history."""

    def has_add_permission(self, request: object) -> bool:
        return False

    def has_change_permission(self, request: object, obj: object = None) -> bool:
        return False
