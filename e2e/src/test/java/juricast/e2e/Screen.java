package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;

/** One person's browser, driven as a person does: by what is read and pressed. */
final class Screen {
    final Page page;
    private final List<String> complaints = new ArrayList<>();

    Screen(Page page) {
        this.page = page;
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && message.text().contains("Content Security Policy")) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
    }

    /** What the browser itself complained about: blocked parts, scripts that failed. */
    List<String> complaints() {
        return complaints;
    }

    Screen open(String path) {
        page.navigate(path);
        return this;
    }

    /** Signs in with one press, as somebody of the demo. */
    Screen signInAs(String name) {
        open("/sign-in");
        field("Find a person").fill(name);
        button(name).click();
        page.waitForURL("**/today");
        return this;
    }

    Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    Locator exactly(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator link(String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    Locator tab(String name) {
        return page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name));
    }

    Locator choice(String name) {
        return page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name));
    }

    /** Opens a menu and chooses; does it again if news redrew the page under the hand, as a person would. */
    void choose(String menu, String choice) {
        for (int attempt = 1; ; attempt++) {
            button(menu).click();
            try {
                choice(choice).click(new Locator.ClickOptions().setTimeout(15_000));
                break;
            } catch (TimeoutError redrawn) {
                if (attempt == 3) {
                    throw redrawn;
                }
                page.keyboard().press("Escape");
            }
        }
        // Keys belong to the desk again only when no menu is open any more.
        assertThat(page.getByRole(AriaRole.MENU)).hasCount(0);
    }

    Locator row(String name) {
        return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    Locator text(String text) {
        return page.getByText(text).first();
    }

    Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .first();
    }

    Locator checkbox(String name) {
        return page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    /** A part of the page that has a name. */
    Locator region(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    /** Sends an order as this browser's own page would, for what a test only needs to be there. @return the answer */
    String sends(String method, String path, String body) {
        return (String) page.evaluate(
                """
                async ([method, path, body]) => {
                    await fetch('/api/standing')
                    const token = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '')
                    const answer = await fetch(path, { method, body: body || undefined,
                        headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token } })
                    return await answer.text()
                }""",
                List.of(method, path, body));
    }

    Locator alert() {
        return page.getByRole(AriaRole.ALERT).first();
    }

    /** Agrees to the house rules, as everybody does before knocking. */
    Screen agree() {
        checkbox("I have read them and keep to them").check();
        return this;
    }

    Screen signIn(String name, String password) {
        open("/sign-in");
        field("Name").fill(name);
        field("Password").fill(password);
        button("Sign in").click();
        page.waitForURL("**/today");
        return this;
    }
}
