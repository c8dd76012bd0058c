package org.kindgirdle.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
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
                .should()
                .bePackagePrivate()
                .check(SERVER);
    }

    /** Files of whole nurseries and of tables of decisions, whose columns are the database's own. */
    @Test
    void sql_by_hand_stands_in_a_handful_of_classes() {
        Set<String> byHand = Set.of(
                "DecisionTables", "RawTable", "NurseryTables", "NurseryPeople", "NurseryReader", "NurseryWriter");
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
