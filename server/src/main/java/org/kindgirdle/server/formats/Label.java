package org.kindgirdle.server.formats;

import java.util.List;

/**
 * What stands on one label.
 *
 * @param address that its QR code holds
 * @param code in large type
 * @param lines below it, the most important first
 */
record Label(String address, String code, List<String> lines) {

    Label {
        lines = List.copyOf(lines);
    }
}
