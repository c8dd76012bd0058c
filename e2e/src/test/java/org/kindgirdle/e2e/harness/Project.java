package org.kindgirdle.e2e.harness;

import java.nio.file.Path;

/** Where the parts of the project lie, seen from this module. */
public final class Project {

    public static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

    private Project() {}
}
