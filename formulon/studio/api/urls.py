"""Addresses of the API."""

from django.urls import path
from drf_spectacular.views import SpectacularAPIView

from formulon.studio.api import color_views, guide_views, logo_views, session_views, source_views, type_views, views
from formulon.studio.api import schema as _schema  # noqa: F401  registers the extension

_BRAND = "brands/<uuid:brand_id>"
urlpatterns = [
    path("schema", SpectacularAPIView.as_view()),
    path("session", session_views.SessionView.as_view()),
    path("session/password", session_views.PasswordView.as_view()),
    path("library", views.LibraryView.as_view()),
    path("colors", views.ColorsView.as_view()),
    path("colors/pick", color_views.PickView.as_view()),
    path("colors/another", color_views.AnotherView.as_view()),
    path("colors/words", color_views.WordsView.as_view()),
    path("colors/picture", color_views.PictureColorsView.as_view()),
    path("brands", views.BrandsView.as_view()),
    path(_BRAND, views.BrandView.as_view()),
    path(f"{_BRAND}/changes", views.ChangesView.as_view()),
    path(f"{_BRAND}/undo", views.UndoView.as_view()),
    path(f"{_BRAND}/redo", views.RedoView.as_view()),
    path(f"{_BRAND}/history", views.HistoryView.as_view()),
    path(f"{_BRAND}/history/<int:entry_id>", views.PointView.as_view()),
    path(f"{_BRAND}/plan", views.PlanView.as_view()),
    path(f"{_BRAND}/sources", source_views.SourcesView.as_view()),
    path(f"{_BRAND}/sources/cancel", source_views.SourcesCancelView.as_view()),
    path(f"{_BRAND}/sources/again", source_views.SourcesAgainView.as_view()),
    path(f"{_BRAND}/sources/<int:file_id>", source_views.SourceView.as_view()),
    path(f"{_BRAND}/facts", source_views.FactsView.as_view()),
    path(f"{_BRAND}/questions", source_views.QuestionsView.as_view()),
    path(f"{_BRAND}/identity/<slug:form>", source_views.IdentityFileView.as_view()),
    path(f"{_BRAND}/pictures/<str:name>", views.PictureView.as_view()),
    path(f"{_BRAND}/fonts", type_views.FontsView.as_view()),
    path(f"{_BRAND}/fonts/<str:name>", type_views.FontView.as_view()),
    path(f"{_BRAND}/guide", guide_views.GuideView.as_view()),
    path(f"{_BRAND}/guide/pdf", guide_views.GuidePdfView.as_view()),
    path(f"{_BRAND}/guide/zip", guide_views.GuideZipView.as_view()),
    path(f"{_BRAND}/logo", logo_views.LogoView.as_view()),
    path(f"{_BRAND}/logo/adjusted", logo_views.AdjustedView.as_view()),
    path(f"{_BRAND}/matrix", guide_views.MatrixView.as_view()),
    path(f"{_BRAND}/type", type_views.TypeView.as_view()),
    path(f"{_BRAND}/reach", color_views.ReachView.as_view()),
    path(f"{_BRAND}/effect", color_views.EffectView.as_view()),
    path(f"{_BRAND}/system/<slug:form>", color_views.SystemFileView.as_view()),
    path(f"{_BRAND}/draft", views.DraftView.as_view()),
    path(f"{_BRAND}/style", views.StyleView.as_view()),
    path(f"{_BRAND}/pages/<slug:page_id>/preview", views.PreviewView.as_view()),
    path(f"{_BRAND}/pages/<slug:page_id>/sections/<slug:section_id>/overlay", color_views.OverlayView.as_view()),
    path(f"{_BRAND}/preflight", views.PreflightView.as_view()),
    path(f"{_BRAND}/preflight/fixes", views.FixesView.as_view()),
    path(f"{_BRAND}/marks", views.MarksView.as_view()),
    path(f"{_BRAND}/releases", views.ReleasesView.as_view()),
    path(f"{_BRAND}/releases/<int:number>/zip", views.ReleaseZipView.as_view()),
]
