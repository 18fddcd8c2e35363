package ebauche.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTag;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import ebauche.core.station.Station;

/** App over exchange over core; SQL in stores only; drawings know no web. */
@ArchTag("slow")
@AnalyzeClasses(packages = "ebauche", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule modules_point_down = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("app")
            .definedBy("ebauche.app..")
            .layer("exchange")
            .definedBy("ebauche.exchange..")
            .layer("core")
            .definedBy("ebauche.core..")
            .whereLayer("app")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("exchange")
            .mayOnlyBeAccessedByLayers("app");

    /** A screen asks all kinds of work alike; what only one of them knows has a class of its own beside it. */
    @ArchTest
    static final ArchRule no_screen_names_a_station = noClasses()
            .that()
            .resideInAnyPackage("ebauche.app..", "ebauche.exchange..")
            .should()
            .dependOnClassesThat(implementations());

    private static DescribedPredicate<JavaClass> implementations() {
        return JavaClass.Predicates.implement(Station.class).as("are kinds of work");
    }

    @ArchTest
    static final ArchRule sql_lives_in_stores = noClasses()
            .that()
            .haveSimpleNameNotEndingWith("Store")
            .and()
            .resideInAPackage("ebauche.app..")
            .and()
            .doNotHaveFullyQualifiedName("ebauche.app.body.BodyStore$Logged")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");

    @ArchTest
    static final ArchRule drawings_know_no_web = noClasses()
            .that()
            .resideInAPackage("ebauche.app.drawing..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..");

    @ArchTest
    static final ArchRule the_plan_command_needs_no_spring = noClasses()
            .that()
            .resideInAPackage("ebauche.exchange..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "java.sql..");

    @ArchTest
    static final ArchRule controllers_are_thin_and_not_public =
            classes().that().haveSimpleNameEndingWith("Controller").should().notBePublic();
}
