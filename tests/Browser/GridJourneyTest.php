<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** The Rules lens as a spreadsheet: ranges, fills, copies to and from other programs, columns, folds, and undo of each in one step. */
final class GridJourneyTest extends BrowserTestCase
{
    private static function cell(string $row, string $column): string
    {
        return "td[data-row='{$row}'][data-column={$column}]";
    }

    private function focus(string $css): void
    {
        $this->find($css);
        $this->browser->executeScript('document.querySelector(arguments[0]).focus()', [$css]);
    }

    /** @return list<string> of the titles */
    private function titles(): array
    {
        $titles = $this->browser->executeScript('return [...document.querySelectorAll("[data-title]")].map((title) => title.dataset.title)');

        return is_array($titles) ? array_values(array_map(static fn (mixed $one): string => is_string($one) ? $one : '', $titles)) : [];
    }

    public function test_a_column_explains_itself_of_the_row_at_hand(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->focus(self::cell('l-steam', 'forWhom'));
        $this->typeAtFocus(Keys::F1);
        $this->waitForText('[role=dialog] p', 'Which passes open The steam box');
        $this->typeAtFocus(Keys::ESCAPE);
        $this->waitUntilGone('[role=dialog]');
        // One is where one was.
        $this->waitForFocus(self::cell('l-steam', 'forWhom'));
        $this->named('Sample')->click();
        $this->waitForText('[role=dialog] p', 'Whoever has no pass may look at The steam box');
        $this->assertNoScriptErrors();
    }

    public function test_ranges_are_drawn_filled_copied_emptied_and_undone(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        // Drawn by the mouse over two columns and two rows, and filled by one key.
        $this->focus(self::cell('l-timber', 'sample'));
        $this->typeAtFocus('y'.Keys::TAB.'y'.Keys::ENTER);
        $this->waitForText(self::cell('l-timber', 'guests'), 'yes');
        (new WebDriverActions($this->browser))->clickAndHold($this->find(self::cell('l-timber', 'sample')))->moveToElement($this->find(self::cell('l-steam', 'guests')))->release()->perform();
        $this->waitForText('.rail', '3 rows selected');
        $this->keys(Keys::CONTROL, 'd');
        foreach (['sample', 'guests'] as $column) {
            $this->waitForText(self::cell('l-steam', $column), 'yes');
        }
        $this->keys(Keys::CONTROL, 'z');
        $this->waitForText(self::cell('l-steam', 'sample'), 'no');
        $this->waitForText(self::cell('l-timber', 'sample'), 'yes');
        $this->keys(Keys::CONTROL, 'y');
        $this->waitForText(self::cell('l-steam', 'sample'), 'yes');

        // By the corner, back up.
        $this->focus(self::cell('l-launch', 'opens'));
        (new WebDriverActions($this->browser))->clickAndHold($this->find(self::cell('l-launch', 'opens').' .fill'))->moveToElement($this->find(self::cell('l-rivets', 'opens')))->release()->perform();
        $this->waitForText(self::cell('l-rivets', 'opens'), ', 10:00');

        // From another program: text with tabs, into the cells that are there.
        $this->focus(self::cell('l-garboard', 'sample'));
        $this->paste("yes\tnever\nno\tyes\n");
        $this->waitForText(self::cell('l-garboard', 'guests'), 'never');
        $this->waitForText(self::cell('l-rivets', 'guests'), 'yes');
        $this->focus(self::cell('l-garboard', 'sample'));
        $this->paste("perhaps\tnever");
        $this->waitForText('.grid-problem', 'Nothing was pasted: “perhaps” is nothing that Sample of The garboard can be.');

        // Emptied: what is left is what the row stands in.
        $this->focus(self::cell('l-garboard', 'guests'));
        $this->typeAtFocus(Keys::DELETE);
        $this->waitForText(self::cell('l-garboard', 'guests'), 'no');
        $this->assertNoScriptErrors();
    }

    public function test_typing_faster_than_the_school_answers_loses_nothing(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/steam-frames');
        $this->focus('tbody tr:first-child td[data-column=guests]');
        $rows = array_slice($this->titles(), 0, 6);
        $this->typeAtFocus(str_repeat('y'.Keys::ENTER, 6));
        foreach ($rows as $row) {
            $this->waitForText(self::cell($row, 'guests'), 'yes');
        }
        $this->waitForText('.acts', 'Review');
        $this->browser->wait(90, 100)->until(static fn (): bool => self::value("SELECT COUNT(*) FROM draft_edits e JOIN drafts d ON d.id = e.draft_id JOIN courses c ON c.id = d.course_id WHERE c.key = 'steam-frames'") === '6');
        $this->assertNoScriptErrors();
    }

    public function test_rows_move_fold_and_are_found(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/winter-refit');
        $this->focus('[data-title=l-oakum]');
        $before = $this->titles();
        $at = (int) array_search('l-oakum', $before, true);
        $this->keys(Keys::ALT, Keys::ARROW_DOWN);
        $this->browser->wait(90, 50)->until(fn (): bool => array_search('l-oakum', $this->titles(), true) === $at + 1);
        // The focus goes with the row.
        $this->waitForFocus('[data-title=l-oakum]');
        $this->keys(Keys::CONTROL, 'z');
        $this->browser->wait(90, 50)->until(fn (): bool => $this->titles() === $before);

        $this->named('fold')->click();
        $this->browser->wait(90, 50)->until(fn (): bool => ! in_array('l-oakum', $this->titles(), true));
        self::assertStringContainsString('fold', $this->browser->getCurrentURL());
        $this->browser->navigate()->refresh();
        $this->find('[data-title]');
        self::assertNotContains('l-oakum', $this->titles());
        // What is looked for is found wherever it is folded up.
        $this->typeAtFocus('/');
        $this->typeAtFocus('lessons');
        $this->waitForText('.filter', ' of ');
        self::assertContains('l-oakum', $this->titles());
        $this->assertNoScriptErrors();
    }

    public function test_what_goes_away_under_the_hand_leaves_the_focus_where_one_was(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        // What is taken out: the row that comes in its place has it.
        $this->focus('[data-title=l-rivets]');
        $at = (int) array_search('l-rivets', $this->titles(), true);
        $this->typeAtFocus(Keys::DELETE);
        $this->browser->wait(90, 50)->until(fn (): bool => ! in_array('l-rivets', $this->titles(), true));
        $this->waitForFocus("[data-title={$this->titles()[$at]}]");
        $this->keys(Keys::CONTROL, 'z');
        $this->find('[data-title=l-rivets]');

        // What is not looked for any more, once it is edited, stays in sight.
        $this->typeAtFocus('/');
        $this->typeAtFocus('guests');
        $this->browser->wait(90, 50)->until(fn (): bool => ! in_array('m-tools', $this->titles(), true));
        $shown = $this->titles();
        $this->focus(self::cell($shown[0], 'guests'));
        $this->typeAtFocus('as above'.Keys::ENTER);
        $this->waitForText(self::cell($shown[0], 'guests'), 'no');
        $this->waitForText('.acts', 'Review');
        self::assertSame($shown, $this->titles());

        // A row that is added to a module which is folded up is seen.
        $this->visit('/keep/courses/clinker?fold[]=m-tools');
        $this->focus('[data-title=m-tools]');
        $this->keys(Keys::CONTROL, Keys::ENTER);
        $this->find('input.title-entry');
        $this->typeAtFocus('Spiling'.Keys::ENTER);
        $this->find('tr:has([data-title=spiling]) + tr input');
        $this->typeAtFocus(Keys::ESCAPE);
        $this->waitForFocus('[data-title=spiling]');
        $this->assertNoScriptErrors();
    }

    public function test_an_outline_is_pasted_on_a_title(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/winter-refit');
        $this->focus('[data-title=l-oakum]');
        $this->paste("Sails\n  Cutting\n    Twine\n  Sewing\nRope");
        $this->waitForText('.written', 'Twine part');
        $this->named('Add 5 rows to the draft')->click();
        $this->waitForText('[data-title=twine]', 'Twine');
        self::assertSame(['sails', 'cutting', 'twine', 'sewing', 'rope'], array_slice($this->titles(), (int) array_search('sails', $this->titles(), true), 5));
        $this->waitForFocus('[data-title=l-oakum]');
        $this->keys(Keys::CONTROL, 'z');
        $this->waitUntilGone('[data-title=twine]');
        $this->assertNoScriptErrors();
    }

    public function test_columns_stay_as_somebody_has_arranged_them(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $heads = fn (): array => (array) $this->browser->executeScript('return [...document.querySelectorAll("thead th b")].map((head) => head.textContent)');
        $this->named('columns…')->click();
        $this->find('.columns');
        $this->waitForStillness();
        // In the dialog: the head of the column is called so, too.
        $this->browser->findElement(WebDriverBy::xpath('//*[@role="dialog"]//label[contains(., "Optional")]'))->click();
        $this->find('[aria-label="Closes further to the left"]')->click();
        $this->named('Show them so')->click();
        $this->waitUntilGone('.columns');
        self::assertSame(['Closes', 'Opens', 'After', 'For whom'], array_slice($heads(), 0, 4));
        $wide = fn (): int => (int) $this->find('thead th')->getSize()->getWidth();
        $before = $wide();
        $handle = $this->find('thead .widen');
        (new WebDriverActions($this->browser))->clickAndHold($handle)->moveByOffset(80, 0)->release()->perform();
        self::assertGreaterThan($before + 60, $wide());
        // Everywhere, from then on.
        $this->browser->wait(90, 50)->until(static fn (): bool => str_contains(self::value("SELECT COALESCE(CAST(rule_columns AS TEXT), '') FROM people WHERE email = 'hege@alder.test'"), '"closes","width":1'));
        $this->visit('/keep/courses/steam-frames');
        $this->find('[data-title]');
        self::assertSame(['Closes', 'Opens', 'After', 'For whom'], array_slice($heads(), 0, 4));
        self::assertGreaterThan($before + 60, $wide());
        // A cell is still what its head says.
        $this->focus('tbody tr:first-child td[data-column=opens]');
        $this->typeAtFocus('12 days after j'.Keys::ENTER);
        $this->waitForText('tbody tr:first-child td[data-column=opens]', '12 days after joining');
        $this->assertNoScriptErrors();
    }

    /** As another program put it on the clipboard. */
    private function paste(string $text): void
    {
        $this->browser->executeScript('const clipboardData = new DataTransfer(); clipboardData.setData("text/plain", arguments[0]); document.dispatchEvent(new ClipboardEvent("paste", { clipboardData, bubbles: true, cancelable: true }))', [$text]);
    }

    public function test_paper_gets_all_rows_though_few_are_in_sight(): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $all = (int) $this->find('table[role=grid]')->getAttribute('aria-rowcount') - 1;
        $tools->execute('Emulation.setDeviceMetricsOverride', ['width' => 1280, 'height' => 220, 'deviceScaleFactor' => 1, 'mobile' => false]);
        try {
            $this->browser->wait(90, 50)->until(fn (): bool => count($this->titles()) < $all);
            $this->browser->executeScript('window.addEventListener("beforeprint", () => { window.printed = document.querySelectorAll("[data-title]").length })');
            $tools->execute('Page.printToPDF');
            self::assertSame($all, $this->browser->executeScript('return window.printed'));
            $this->browser->wait(90, 50)->until(fn (): bool => count($this->titles()) < $all);
        } finally {
            $tools->execute('Emulation.clearDeviceMetricsOverride');
        }
        $this->assertNoScriptErrors();
    }

    public function test_a_condition_is_typed_and_what_has_no_room_stands_below(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->find(self::cell('l-rivets', 'forWhom'));
        $this->browser->executeScript('document.querySelector(arguments[0]).focus()', [self::cell('l-rivets', 'forWhom')]);
        $this->typeAtFocus('label oar-bonus and not who finished steam');
        $this->waitForText('[role=option]', 'label oar-bonus and not who finished The steam box');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText(self::cell('l-rivets', 'forWhom'), 'label oar-bonus and not who finished The steam box');
        $this->waitForText('.head', 'Review');
        $this->typeAtFocus(Keys::ARROW_UP);
        $this->waitForText('.rail', 'For whom label oar-bonus and not who finished The steam box');
        $this->typeAtFocus(Keys::ARROW_UP);
        $this->waitForText('.rail', 'set a cell');
        $this->assertNoScriptErrors();
    }
}
