package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import idlebough.app.Running;
import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Scope;
import idlebough.core.judge.Remedy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Every remedy that a rule can name is something that this program can do. */
@ExtendWith(Running.class)
class ButtonsTest {
    @Test
    void everyRemedyOfTheCoreHasItsButton() {
        String maren =
                Running.bean(AccountService.class).find(AccountController.DEMO).id();
        Scope demo =
                new Scope(Running.bean(OrchardMapper.class).mine(maren).get(0).id(), maren);
        Buttons buttons = new Buttons(Running.plan(demo));
        var remedies = new ClassFileImporter()
                .importPackages("idlebough.core").stream()
                        .filter(type -> type.isAssignableTo(Remedy.class) && !type.isInterface())
                        .map(JavaClass::reflect)
                        .toList();
        assertThat(remedies).hasSizeGreaterThan(12).allMatch(buttons::knows);
    }
}
