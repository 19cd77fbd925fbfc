<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** The rule of a row as a sentence, and what is done with rules of several rows. */
final class SheetJourneyTest extends BrowserTestCase
{
    public function test_a_rule_is_read_and_set_as_a_sentence(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?row=l-timber');
        $this->waitForText('.sheet h2', 'Choosing larch');
        $this->waitForText('.say', 'Finished by a quiz, from 70 %');

        $this->find('[data-word=finish]')->click();
        $this->find('.editor input')->click();
        $this->find('[role=option]:nth-child(3)')->click();
        $this->named('Keep in the draft')->click();
        $this->waitForText('.say', 'by watching 90 % of its video');
        // The editor of before fades away.
        $this->waitUntilGone('.editor');

        // A condition is built, read back while it is built, refused where it is empty, and kept.
        $this->find('[data-word=only]')->click();
        $this->named('Add a condition')->click();
        // Until it is read back the form grows, and what is clicked moves.
        $this->waitForText('.readback', 'Reads: label');
        $this->named('Keep in the draft')->click();
        $this->find('.editor [aria-label=Label][aria-invalid=true]');
        $this->find('.editor [aria-label=Label]')->sendKeys('cohort-b');
        $this->waitForText('.readback', 'Reads: label cohort-b');
        $this->find('.cond-not')->click();
        $this->waitForText('.readback', 'Reads: not label cohort-b');
        $this->named('Keep in the draft')->click();
        $this->waitForText('.say', 'condition not label cohort-b');
        $this->waitForText('td[data-row=l-timber][data-column=forWhom]', 'not label cohort-b');

        // The address names the row, and Esc closes the sheet.
        self::assertStringContainsString('row=l-timber', $this->browser->getCurrentURL());
        $this->focusGrid();
        $this->type(Keys::ESCAPE);
        $this->waitUntilGone('.sheet');
        self::assertStringNotContainsString('row=', $this->browser->getCurrentURL());
        $this->assertNoScriptErrors();
    }

    public function test_rules_are_copied_by_keyboard_and_rows_moved_by_the_mouse(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->find('td[data-row=l-bonus][data-column=forWhom]');
        $this->browser->executeScript('document.querySelector("[data-title=l-bonus]").focus()');
        $this->keys(Keys::CONTROL, 'c');
        $this->waitForText('.rail', 'The rules of Bonus: building the oars are copied');
        $this->browser->executeScript('document.querySelector("[data-title=l-garboard]").focus()');
        $this->keys(Keys::SHIFT, Keys::ARROW_DOWN);
        $this->waitForText('.rail', '2 rows selected');
        $this->keys(Keys::CONTROL, 'v');
        $this->waitForText('td[data-row=l-garboard][data-column=forWhom]', 'label oar-bonus');
        $this->waitForText('td[data-row=l-rivets][data-column=forWhom]', 'label oar-bonus');
        $this->keys(Keys::CONTROL, 'z');
        $this->waitForText('td[data-row=l-rivets][data-column=forWhom]', 'every pass');
        $this->type(Keys::ESCAPE);

        // The button goes down on its title, which has the focus from then on, wherever the row goes.
        $this->find('[data-title=l-rivets] span')->click();
        $this->waitForFocus('[data-title=l-rivets]');
        $this->drag('l-rivets', 'm-tools');
        $this->waitForText('.head', 'Review');
        $this->find('tr:has(td[data-row=l-steam]) + tr td[data-row=l-rivets]');
        $this->waitForFocus('[data-title=l-rivets]');
        $this->assertNoScriptErrors();
    }

    public function test_two_windows_on_one_draft(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/steam-frames');
        $first = $this->browser->getWindowHandle();
        $this->find('td[data-column=sample]');
        $this->browser->switchTo()->newWindow();
        $this->visit('/keep/courses/steam-frames?row=l-heat');
        $this->find('[data-word=sample]')->click();
        $this->find('[role=menuitem]')->click();
        $this->waitForText('.say', 'sample yes');

        // The first window still shows what was; it is refused what collides, and may set it all the same.
        $this->browser->switchTo()->window($first);
        $this->browser->executeScript('document.querySelector("td[data-row=l-heat][data-column=whenClosed]").focus()');
        $this->typeAtFocus('h'.Keys::ENTER);
        $this->waitForText('td[data-row=l-heat][data-column=whenClosed]', 'hidden');
        $this->waitForText('td[data-row=l-heat][data-column=sample]', 'yes');
        $this->assertNoScriptErrors();
    }

    public function test_a_draft_is_given_a_time_to_go_live(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/winter-refit?row=l-oakum');
        $this->find('[data-word=sample]')->click();
        $this->find('[role=menuitem]')->click();
        $this->waitForText('.say', 'sample yes');
        $this->named('Review 1 unpublished change')->click();
        $this->waitForText('.publish', 'By Hege Strand, 1 edit.');
        $this->find('.whenlive label:nth-of-type(2)')->click();
        $day = (new \DateTimeImmutable('@'.self::$loadedAt))->modify('+1 year');
        $this->named('Day and time, school time')->sendKeys($day->format('j M Y').' 9');
        $this->named('Note for the history')->click();
        $this->waitForText('.head', "as if published {$day->format('D j M Y')}, 09:00");
        $this->named('Set the time for 1 change')->click();
        $this->waitForText('.head', "Goes live {$day->format('D j M Y')}, 09:00");
        $this->assertNoScriptErrors();
    }

    /** The driver begins no drag of its own in a headless browser: the page is told the events of one. */
    private function drag(string $row, string $onto): void
    {
        $this->browser->executeScript(<<<'JS'
            const [row, onto] = arguments;
            const cell = (key) => document.querySelector(`td[data-row="${key}"]`).closest('tr');
            const dataTransfer = new DataTransfer();
            const { top, height } = cell(onto).getBoundingClientRect();
            const tell = (where, type) => where.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer, clientY: top + height / 2 }));
            tell(cell(row).querySelector('th'), 'dragstart');
            tell(cell(onto), 'dragover');
            tell(cell(onto), 'drop');
            tell(cell(row).querySelector('th'), 'dragend');
            JS, [$row, $onto]);
    }

    public function test_selection_focus_and_sheet_are_one_row(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $here = fn (): array => (array) $this->browser->executeScript('return [document.activeElement.dataset.title ?? document.activeElement.tagName, [...document.querySelectorAll("tr[aria-selected=true]")].map((row) => row.querySelector("td").dataset.row)]');
        $title = fn (string $row): RemoteWebElement => $this->browser->findElement(WebDriverBy::xpath("//td[@data-row='{$row}']/../th//span"));
        $this->find('td[data-row=l-timber]');
        $title('l-timber')->click();
        $this->waitForFocus('[data-title=l-timber]');
        self::assertSame(['l-timber', ['l-timber']], $here());
        // Clicked again it opens what is told of it.
        $title('l-timber')->click();
        $this->waitForText('.sheet h2', 'Choosing larch');
        // By keys on to the next row: the sheet goes with it, and nothing else stays selected.
        $this->waitForFocus('[data-title=l-timber]');
        $this->typeAtFocus(Keys::ARROW_DOWN);
        $this->waitForText('.sheet h2', 'Reading grain in oak');
        self::assertSame(['l-advanced', []], $here());
        $title('l-steam')->click();
        $this->waitForText('.sheet h2', 'The steam box');
        self::assertSame(['l-steam', ['l-steam']], $here());
        $this->typeAtFocus(Keys::ESCAPE);
    }

    public function test_the_grid_is_one_tab_stop_from_the_top(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?row=l-timber');
        $this->find('td[data-row=l-timber]');
        $this->browser->executeScript('document.activeElement?.blur(); window.scrollTo(0, 0)');
        $this->typeAtFocus(Keys::TAB);
        self::assertSame('To what is on this page', $this->browser->executeScript('return document.activeElement.textContent'));
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForFocus('td[data-row=l-timber]');
    }
}
