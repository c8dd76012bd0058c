package org.kindgirdle.server.formats;

import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/** What a document asks of the printer. */
final class Printing {

    private Printing() {}

    /** Not to be fitted to the page: labels would miss their places, and a drawing would not be to scale. */
    static void atFullSize(PDDocument document) {
        PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
        preferences.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
        document.getDocumentCatalog().setViewerPreferences(preferences);
        document.getDocumentCatalog().getCOSObject().setString(COSName.getPDFName("Lang"), "en");
    }
}
