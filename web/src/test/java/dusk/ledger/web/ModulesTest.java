package dusk.ledger.web;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.AccessTarget.MethodCallTarget;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.People;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Visibility;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.stereotype.Controller;

/** Which room may know of which, and what may be done in one room only. */
@AnalyzeClasses(packages = "dusk.ledger.web", importOptions = ImportOption.DoNotIncludeTests.class)
class ModulesTest {
    @ArchTest
    static final ArchRule sqlStaysWhereTheRecordIsKept = noClasses()
            .that()
            .resideOutsideOfPackages(
                    "dusk.ledger.web.store..",
                    "dusk.ledger.web.records..",
                    "dusk.ledger.web.schema..",
                    "dusk.ledger.web.exchange..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "java.sql..", "dusk.ledger.web.schema..")
            .because("what is above the record asks it, and writes no SQL");

    @ArchTest
    static final ArchRule controllersKnowNoStore = noClasses()
            .that()
            .areAnnotatedWith(Controller.class)
            .should()
            .dependOnClassesThat(resideInAnyPackage("org.jooq.."))
            .orShould()
            .dependOnClassesThat()
            .areAssignableTo(Store.class)
            .because("a controller reads the request, asks the feature and chooses the view");

    @ArchTest
    static final ArchRule everyQueryGoesByVisibility = classes()
            .that(resideInAPackage("dusk.ledger.web.records..").and(callsReadOfTheStore()))
            .and()
            .doNotHaveFullyQualifiedName(People.class.getName())
            .and()
            .doNotHaveFullyQualifiedName(Invitations.class.getName())
            .and()
            .doNotHaveFullyQualifiedName(Devices.class.getName())
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Visibility.class)
            .because(
                    "who may see a row is said in one place; accounts, their devices and invitations are no rows of the record");

    private static DescribedPredicate<JavaClass> callsReadOfTheStore() {
        return DescribedPredicate.describe(
                "read the store",
                type -> type.getMethodCallsFromSelf().stream()
                        .map(JavaMethodCall::getTarget)
                        .anyMatch(to -> to.getOwner().isEquivalentTo(Store.class)
                                && to.getName().equals("read")));
    }

    @ArchTest
    static final ArchRule theClockIsGiven = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .because("the clock is given, so that a test can turn it");

    @ArchTest
    static final ArchRule theClockIsMadeWhereTheProgramStarts = noClasses()
            .that()
            .doNotHaveFullyQualifiedName(DuskLedger.class.getName())
            .and()
            .resideOutsideOfPackage("dusk.ledger.web.exchange")
            .should()
            .callMethod(Clock.class, "systemUTC")
            .because("the clock is given, so that a test can turn it");

    @ArchTest
    static final ArchRule whatIsTypedIsReadByTheFormRoom = noClasses()
            .that()
            .resideOutsideOfPackages("dusk.ledger.web.form..", "dusk.ledger.web.schema..", "dusk.ledger.web.records..")
            .should()
            .callMethodWhere(parses())
            .because("there is one way to read what is typed, with its faults at their fields");

    private static DescribedPredicate<JavaMethodCall> parses() {
        Set<String> names = Set.of("parseInt", "parseLong", "parseDouble");
        return DescribedPredicate.describe("parse a number, a measure, a date or a time", call -> {
            MethodCallTarget to = call.getTarget();
            String owner = to.getOwner().getName();
            return names.contains(to.getName())
                    || to.getName().equals("parse")
                            && (owner.startsWith("dusk.ledger.units.") || owner.startsWith("java.time."));
        });
    }

    @ArchTest
    static final ArchRule roomsHaveNoCycles =
            slices().matching("dusk.ledger.web.(*)..").should().beFreeOfCycles();

    /** Each package names the rooms it may know of. */
    @Test
    void roomsKnowOnlyTheRoomsTheyName() {
        ApplicationModules.of(DuskLedger.class).verify();
    }
}
