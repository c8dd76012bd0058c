package org.kindgirdle.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

class ArchitectureTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .withImportOption(new ImportOption.DoNotIncludeJars())
            .importPackages("org.kindgirdle.server");

    private static final Set<String> ROWS_OF_LAYERS =
            Set.of("org.kindgirdle.server.projection.Layer", "org.kindgirdle.server.records.LayerEventRow");

    @Test
    void features_reach_one_another_without_cycles() {
        slices().matching("org.kindgirdle.server.(*)..")
                .should()
                .beFreeOfCycles()
                .check(SERVER);
    }

    @Test
    void rows_repositories_and_controllers_stay_inside_their_feature() {
        classes()
                .that()
                .areAnnotatedWith(Entity.class)
                .or()
                .areAnnotatedWith(RestController.class)
                .or()
                .areAssignableTo(Repository.class)
                .and(DescribedPredicate.not(DescribedPredicate.describe(
                        "are the rows of a layer and of its records", one -> ROWS_OF_LAYERS.contains(one.getName()))))
                .should()
                .bePackagePrivate()
                .check(SERVER);
    }

    /** They are read by accessors, and changed by what their own room offers. */
    @Test
    void the_rows_of_layers_are_known_to_the_rooms_of_the_journal_alone() {
        noClasses()
                .that()
                .resideOutsideOfPackages(
                        "org.kindgirdle.server.records",
                        "org.kindgirdle.server.projection",
                        "org.kindgirdle.server.layers",
                        "org.kindgirdle.server.outcomes",
                        "org.kindgirdle.server.journal")
                .should()
                .dependOnClassesThat(DescribedPredicate.describe(
                        "are the rows of a layer and of its records", one -> ROWS_OF_LAYERS.contains(one.getName())))
                .check(SERVER);
        ROWS_OF_LAYERS.forEach(row -> assertThat(SERVER.get(row).getFields())
                .filteredOn(field -> !field.getModifiers().contains(JavaModifier.STATIC))
                .noneMatch(field -> field.getModifiers().contains(JavaModifier.PUBLIC)));
    }

    /** Files of whole nurseries and of tables of decisions, whose columns are the database's own. */
    @Test
    void sql_by_hand_stands_in_a_handful_of_classes() {
        Set<String> byHand = Set.of("DecisionTables", "RawTable", "NurseryTables", "NurseryReader", "NurseryWriter");
        noClasses()
                .that(DescribedPredicate.describe(
                        "are none of " + byHand,
                        one -> !byHand.contains(one.getSimpleName().split("\\$")[0])
                                && byHand.stream()
                                        .noneMatch(name -> one.getName().contains("." + name + "$"))))
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.jdbc.core..")
                .check(SERVER);
        noClasses()
                .that()
                .areAnnotatedWith(RestController.class)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.jdbc..", "jakarta.persistence..")
                .check(SERVER);
    }

    @Test
    void the_time_is_asked_of_the_injected_clock_alone() {
        noClasses()
                .should()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .check(SERVER);
        noClasses()
                .that()
                .resideOutsideOfPackage("org.kindgirdle.server.time")
                .should()
                .callMethod(Clock.class, "systemUTC")
                .check(SERVER);
    }

    @Test
    void every_package_is_null_marked() {
        assertThat(SERVER.getPackage("org.kindgirdle.server").getSubpackages())
                .isNotEmpty()
                .allSatisfy((JavaPackage one) -> assertThat(one.isAnnotatedWith(NullMarked.class))
                        .as(one.getName())
                        .isTrue());
    }
}
