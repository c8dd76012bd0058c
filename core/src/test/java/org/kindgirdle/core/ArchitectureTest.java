package org.kindgirdle.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.kindgirdle.core");

    @Test
    void needs_nothing_but_the_jdk_hipparchus_and_jspecify() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("org.kindgirdle.core..", "java..", "org.hipparchus..", "org.jspecify..")
                .check(CORE);
    }

    @Test
    void packages_have_no_cycles() {
        slices().matching("org.kindgirdle.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void every_package_is_null_marked() {
        assertThat(CORE.getPackage("org.kindgirdle.core").getSubpackages())
                .isNotEmpty()
                .allSatisfy((JavaPackage one) -> assertThat(one.isAnnotatedWith(NullMarked.class))
                        .as(one.getName())
                        .isTrue());
    }
}
