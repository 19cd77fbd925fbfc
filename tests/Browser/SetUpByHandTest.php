<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/**
 * A course of five modules and forty lessons, with paces, tiers, a bonus and samples, from nothing to live: once by keys alone, once by
 * mouse alone but for its titles. What it took is counted, and must not grow.
 */
final class SetUpByHandTest extends BrowserTestCase
{
    use WalksByKeys;

    private const MODULES = ['Seams', 'Oakum', 'Pitch', 'Decks', 'Spars'];

    /** Presses and clicks besides the letters of titles. */
    private const MOST_KEYS = 260;

    private const MOST_CLICKS = 40;

    private int $clicks = 0;

    private static function lesson(string $module, int $number): string
    {
        return "{$module} {$number}";
    }

    /** As somebody would write it. */
    private static function outline(): string
    {
        $lines = [];
        foreach (self::MODULES as $module) {
            array_push($lines, $module, ...array_map(static fn (int $number): string => '  '.self::lesson($module, $number), range(1, 8)));
        }

        return implode("\n", $lines);
    }

    public function test_by_keys_alone(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses');
        $this->find('.pagehead button');
        $this->press('New course');
        $this->waitForFocus('.mantine-Modal-content input');
        $this->strike('Caulking by keys'.Keys::ENTER);
        $this->waitForText('.head', 'Caulking by keys');

        $this->press('Add the first rows');
        $this->waitForFocus('.mantine-Modal-content textarea');
        $this->typeAtFocus(str_replace("\n", Keys::ENTER, self::outline()));
        $this->waitForText('.mantine-Modal-content', 'Add 45 rows to the draft');
        $this->strikeHeld(Keys::CONTROL, Keys::ENTER);
        $this->waitForText('tr[data-kind=module]', 'Seams');
        $this->waitUntilGone('.mantine-Modal-content');

        // Tiers.
        $this->press('change');
        $this->waitForFocus('.review input');
        $this->fill('Tiers', 'hand, foreman'.Keys::ENTER);
        $this->waitUntilGone('.mantine-Modal-content');

        // Each module a week after the one before: set once, and copied to the others. Folded up, they stand beside each other.
        $this->press('fold');
        $this->tabTo('at once');
        $this->strike(Keys::ARROW_DOWN.'7 days after the one'.Keys::ENTER.Keys::ARROW_UP);
        $this->waitForText('td[data-row=oakum][data-column=opens]', '7 days after the one before');
        $this->strikeHeld(Keys::CONTROL, 'c');
        $this->waitForText('.rail', 'copied');
        $this->strike(Keys::ARROW_DOWN);
        $this->strikeHeld(Keys::SHIFT, Keys::ARROW_DOWN);
        $this->strikeHeld(Keys::SHIFT, Keys::ARROW_DOWN);
        $this->waitForText('.rail', '3 rows selected');
        $this->strikeHeld(Keys::CONTROL, 'v');
        $this->waitForText('td[data-row=spars][data-column=opens]', '7 days after the one before');

        // Spars are for foremen, and their last lesson is a bonus for the keen.
        $this->strike(str_repeat(Keys::ARROW_RIGHT, 4).'f'.Keys::ENTER);
        $this->waitForText('td[data-row=spars][data-column=forWhom]', 'foreman');
        $this->strike(Keys::HOME);
        $this->waitForFocus('[data-title=spars]');
        $this->strike('+');
        $this->find('[data-title=spars-8]');
        $this->strikeHeld(Keys::CONTROL, Keys::ARROW_DOWN);
        $this->waitForFocus('[data-title=spars-8]');
        $this->strike(str_repeat(Keys::ARROW_RIGHT, 4).'y'.Keys::TAB.'label keen'.Keys::ENTER);
        $this->waitForText('td[data-row=spars-8][data-column=forWhom]', 'label keen');
        $this->waitForText('td[data-row=spars-8][data-column=optional]', 'yes');

        // The first lesson is a sample.
        $this->strikeHeld(Keys::CONTROL, Keys::ARROW_UP);
        $this->strike(Keys::HOME);
        $this->waitForFocus('[data-title=seams]');
        $this->strike('+');
        $this->find('[data-title=seams-1]');
        $this->strike(Keys::ARROW_DOWN.str_repeat(Keys::ARROW_RIGHT, 6).'y'.Keys::ENTER);
        $this->waitForText('td[data-row=seams-1][data-column=sample]', 'yes');

        $this->press('Review');
        $this->waitForText('.publish', 'is published for the first time');
        $this->press('Publish 1 change');
        $this->assertIsSetUp('caulking-by-keys');
        self::assertLessThanOrEqual(self::MOST_KEYS, $this->pressed);
    }

    public function test_by_mouse_alone(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses');
        $this->click(fn () => $this->named('New course'));
        $this->waitForFocus('.mantine-Modal-content input');
        $this->typeAtFocus('Caulking by mouse');
        $this->click(fn () => $this->find('.mantine-Modal-content [type=submit]'));
        $this->waitForText('.head', 'Caulking by mouse');
        $this->click(fn () => $this->named('Add the first rows'));
        $this->waitForFocus('.mantine-Modal-content textarea');
        $this->typeAtFocus(str_replace("\n", Keys::ENTER, self::outline()));
        $this->click(fn () => $this->named('Add 45 rows to the draft'));
        $this->waitForText('tr[data-kind=module]', 'Seams');
        $this->waitUntilGone('.mantine-Modal-content');

        $this->click(fn () => $this->named('change'));
        $this->waitForFocus('.review input');
        $this->click(fn () => $this->named('Tiers'));
        $this->typeAtFocus('hand, foreman');
        $this->click(fn () => $this->find('.mantine-Modal-content [type=submit]'));
        $this->waitUntilGone('.mantine-Modal-content');

        $this->click(fn () => $this->named('fold'));
        $this->choose('oakum', 'opens', '7 days after the one before');
        $this->dragCorner('oakum', 'opens', 'spars');
        $this->waitForText('td[data-row=spars][data-column=opens]', '7 days after the one before');
        $this->choose('spars', 'forWhom', 'foreman');
        $this->click(fn () => $this->find('tr:has([data-title=spars]) .twist'));
        $this->choose('spars-8', 'optional', 'yes');
        $this->clickCell('spars-8', 'forWhom');
        $this->clickCell('spars-8', 'forWhom');
        $this->click(fn () => $this->named('Build a condition'));
        $this->click(fn () => $this->named('Add a condition'));
        $this->waitForText('.readback', 'Reads: label');
        $this->click(fn () => $this->find('.editor [aria-label=Label]'));
        $this->typeAtFocus('keen');
        $this->waitForText('.readback', 'Reads: label keen');
        $this->click(fn () => $this->named('Keep in the draft'));
        $this->waitForText('td[data-row=spars-8][data-column=forWhom]', 'label keen');
        $this->click(fn () => $this->find('tr:has([data-title=seams]) .twist'));
        $this->choose('seams-1', 'sample', 'yes');

        $this->click(fn () => $this->named('Review'));
        $this->waitForText('.publish', 'is published for the first time');
        $this->click(fn () => $this->named('Publish 1 change'));
        $this->assertIsSetUp('caulking-by-mouse');
        self::assertLessThanOrEqual(self::MOST_CLICKS, $this->clicks);
    }

    /** @param  callable(): RemoteWebElement  $find */
    private function click(callable $find): void
    {
        $this->waitForStillness();
        (new WebDriverActions($this->browser))->moveToElement($find())->click()->perform();
        $this->clicks++;
    }

    private function clickCell(string $row, string $column): void
    {
        $this->click(fn () => $this->find("td[data-row='{$row}'][data-column={$column}]"));
    }

    /** A cell, the same again, and one of what can stand there. */
    private function choose(string $row, string $column, string $words): void
    {
        $this->clickCell($row, $column);
        $this->clickCell($row, $column);
        $this->waitForText('.entry-list', $words);
        $this->click(fn () => $this->browser->findElement(WebDriverBy::xpath("//*[@role='option'][starts-with(normalize-space(.), '{$words}')]")));
        $this->waitForText("td[data-row='{$row}'][data-column={$column}]", $words);
        $this->waitForFocus("td[data-row='{$row}'][data-column={$column}]");
    }

    private function dragCorner(string $row, string $column, string $to): void
    {
        $this->waitForStillness();
        (new WebDriverActions($this->browser))->clickAndHold($this->find("td[data-row='{$row}'][data-column={$column}] .fill"))
            ->moveToElement($this->find("td[data-row='{$to}'][data-column={$column}]"))->release()->perform();
        $this->clicks++;
    }

    private function assertIsSetUp(string $course): void
    {
        $this->waitForText('.flash', 'Published as revision 1');
        $document = json_decode(self::value("SELECT r.document FROM revisions r JOIN courses c ON c.live_revision_id = r.id WHERE c.key = '{$course}'"), true);
        self::assertIsArray($document);
        $told = $document['course'];
        self::assertSame([5, 8, 8, 8, 8, 8], [count($told['items']), ...array_map(static fn (array $module): int => count($module['items']), $told['items'])]);
        $plan = array_values($told['plans'])[0];
        self::assertSame(array_fill_keys(['oakum', 'pitch', 'decks', 'spars'], ['opens' => ['rule' => 'after_previous', 'days' => 7]]), $plan);
        self::assertSame(['foreman'], $told['items'][4]['tiers']);
        self::assertSame([true, ['label' => 'keen']], [$told['items'][4]['items'][7]['optional'], $told['items'][4]['items'][7]['only']]);
        self::assertTrue($told['items'][0]['items'][0]['sample']);
        $this->assertNoScriptErrors();
    }
}
