<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Where the focus is after every editor and dialog of a course: opened by mouse and by key, closed in each way. */
final class FocusTest extends BrowserTestCase
{
    private const COLUMNS = ['opens', 'closes', 'after', 'optional', 'forWhom', 'sample', 'guests', 'observers', 'whenClosed', 'finish'];

    /** What has the focus: `row/column`, `title row`, `word name`, or the words of a button. */
    private const HERE = <<<'JS'
        const { dataset, textContent, tagName, placeholder } = document.activeElement ?? {};
        return dataset?.row ? `${dataset.row}/${dataset.column}` : dataset?.title ? `title ${dataset.title}` : dataset?.word ? `word ${dataset.word}` : tagName === 'INPUT' ? `input ${placeholder}${document.activeElement.closest('td')?.dataset.row ?? ''}` : tagName === 'BODY' ? 'nothing' : (textContent ?? '').trim();
        JS;

    private function here(): string
    {
        $here = $this->browser->executeScript(self::HERE);

        return is_string($here) ? $here : '';
    }

    private function isAt(string $where, string $after): void
    {
        try {
            $this->browser->wait(60, 50)->until(fn (): bool => $this->here() === $where);
        } catch (TimeoutException) {
            // What it is instead is told.
        }
        self::assertSame($where, $this->here(), "After {$after}");
    }

    private function focus(string $css): void
    {
        $this->browser->executeScript('document.querySelector(arguments[0]).focus()', [$css]);
    }

    private static function cell(string $row, string $column): string
    {
        return "td[data-row='{$row}'][data-column={$column}]";
    }

    private function clickOn(string $css): void
    {
        (new WebDriverActions($this->browser))->moveToElement($this->find($css))->click()->perform();
    }

    private function strike(string $keys): void
    {
        $this->typeAtFocus($keys);
    }

    private function open(string $address = '/keep/courses/clinker'): void
    {
        $this->signIn('hege');
        $this->visit($address);
        $this->find('td[data-row]');
    }

    public function test_of_what_is_typed_into_cells(): void
    {
        $this->open();
        foreach (self::COLUMNS as $at => $column) {
            [$cell, $here] = [self::cell('l-steam', $column), "l-steam/{$column}"];
            foreach (['F2' => Keys::F2, 'a letter' => 'n'] as $opened => $key) {
                $this->focus($cell);
                $this->strike($key);
                $this->find('input.entry');
                $this->strike(Keys::ESCAPE);
                $this->isAt($here, "{$opened} and Esc in {$column}");
            }
            $this->strike(Keys::F2);
            $this->find('input.entry');
            $this->strike(Keys::ENTER);
            // Modules are not finished themselves: their cell is there all the same.
            $this->isAt("m-planks/{$column}", "Enter in {$column}");
            $this->focus($cell);
            $this->strike(Keys::F2);
            $this->find('input.entry');
            $this->strike(Keys::TAB);
            $this->isAt('l-steam/'.(self::COLUMNS[$at + 1] ?? $column), "Tab in {$column}");

            $this->focus(self::cell('l-timber', 'opens'));
            $this->clickOn($cell);
            $this->isAt($here, "a click on {$column}");
            $this->clickOn($cell);
            $this->find('input.entry');
            $this->strike(Keys::ESCAPE);
            $this->isAt($here, "two clicks and Esc in {$column}");
            $this->clickOn($cell);
            $this->find('input.entry');
            // In the same row, over which no list lies.
            $other = $column === 'opens' ? 'observers' : 'opens';
            $this->clickOn(self::cell('l-steam', $other));
            $this->isAt("l-steam/{$other}", "a click elsewhere out of {$column}");
            $this->waitUntilGone('input.entry');
        }
        self::assertSame('0', self::value("SELECT COUNT(*) FROM draft_edits e JOIN drafts d ON d.id = e.draft_id JOIN courses c ON c.id = d.course_id WHERE c.key = 'clinker'"));
        $this->assertNoScriptErrors();
    }

    public function test_of_what_is_kept_by_a_click_elsewhere_and_what_is_asked_about(): void
    {
        $this->open('/keep/courses/steam-frames');
        $this->find('td[data-row=l-heat]');
        $this->focus(self::cell('l-heat', 'opens'));
        $this->strike('12');
        $this->clickOn(self::cell('m-bend', 'sample'));
        $this->isAt('m-bend/sample', 'a click elsewhere');
        $this->waitForText(self::cell('l-heat', 'opens'), '12 days after');

        $this->focus(self::cell('l-heat', 'closes'));
        $this->strike('soonish');
        $this->clickOn(self::cell('m-bend', 'sample'));
        $this->waitForText('.entry-problem', '“soonish” is nothing that can stand here.');
        $this->isAt('input l-heat', 'a click elsewhere out of what cannot be kept');
    }

    public function test_of_forms_in_cells(): void
    {
        $this->open();
        foreach (['opens', 'closes', 'after', 'forWhom', 'finish'] as $column) {
            [$cell, $here] = [self::cell('l-steam', $column), "l-steam/{$column}"];
            foreach ([Keys::ESCAPE => 'Esc', Keys::ENTER => 'Enter'] as $key => $named) {
                $this->focus($cell);
                $this->strike(Keys::F2);
                $this->find('input.entry');
                $this->strike(Keys::F4);
                $this->find('.editor form');
                $this->waitForStillness();
                if ($named === 'Enter') {
                    $this->named('Keep in the draft')->sendKeys(Keys::ENTER);
                } else {
                    $this->strike($column === 'after' ? $key.$key : $key);
                }
                $this->isAt($here, "{$named} in the form of {$column}");
                $this->waitUntilGone('.editor');
            }
            $this->clickOn($cell);
            $this->clickOn($cell);
            $this->clickOn('.entry-list button');
            $this->find('.editor form');
            $this->waitForStillness();
            $other = $column === 'opens' ? 'observers' : 'opens';
            $this->clickOn(self::cell('l-steam', $other));
            $this->isAt("l-steam/{$other}", "a click elsewhere out of the form of {$column}");
            $this->waitUntilGone('.editor');
        }
        $this->assertNoScriptErrors();
    }

    public function test_of_words_of_the_sheet(): void
    {
        $this->open('/keep/courses/clinker?row=l-steam');
        foreach (['opens', 'closes', 'after', 'optional', 'tiers', 'only', 'sample', 'guests', 'observers', 'whenClosed', 'finish'] as $word) {
            $css = "[data-word={$word}]";
            $this->waitForStillness();
            $this->clickOn($css);
            $this->find('.editor form, [role=menu]');
            $this->waitForStillness();
            // A list that has unfolded takes the first for itself.
            $this->strike($word === 'after' ? Keys::ESCAPE.Keys::ESCAPE : Keys::ESCAPE);
            $this->isAt("word {$word}", "a click and Esc at the word {$word}");
            $this->waitUntilGone('.editor');
            $this->waitUntilGone('[role=menu]');
            $this->strike(Keys::ENTER);
            $this->find('.editor form, [role=menu]');
            $this->waitForStillness();
            $this->strike($word === 'after' ? Keys::ESCAPE.Keys::ESCAPE : Keys::ESCAPE);
            $this->isAt("word {$word}", "Enter and Esc at the word {$word}");
            $this->waitUntilGone('.editor');
            $this->waitUntilGone('[role=menu]');
        }
        // What is kept: the word is drawn anew, and has the focus.
        $this->focus('[data-word=sample]');
        $this->strike(Keys::ENTER);
        $this->find('[role=menuitem]');
        $this->waitForStillness();
        $this->strike(Keys::ARROW_DOWN.Keys::ENTER);
        $this->waitForText('.say', 'sample');
        $this->isAt('word sample', 'a choice at the word sample');
        $this->assertNoScriptErrors();
    }

    public function test_of_titles_and_rows(): void
    {
        $this->open();
        $this->focus('[data-title=l-steam]');
        $this->strike(Keys::F2);
        $this->find('input.title-entry');
        $this->strike(Keys::ESCAPE);
        $this->isAt('title l-steam', 'F2 and Esc on a title');
        $this->strike(Keys::F2);
        $this->find('input.title-entry');
        $this->strike(Keys::ENTER);
        $this->isAt('title m-planks', 'Enter on a title');
        $this->keys(Keys::CONTROL, Keys::ENTER);
        $this->find('input.title-entry');
        $this->strike(Keys::ESCAPE);
        $this->isAt('title m-planks', 'a new row and Esc');
        $this->keys(Keys::CONTROL, Keys::ENTER);
        $this->find('input.title-entry');
        $this->strike('Spiling'.Keys::ENTER);
        // The next is typed right below it.
        $this->find('tr:has([data-title=spiling]) + tr input');
        $this->strike(Keys::ESCAPE);
        $this->isAt('title spiling', 'a row that was added, and Esc');
        $this->strike(Keys::F2.'s'.Keys::TAB);
        $this->isAt('spiling/opens', 'Tab on a title');

        // The menu of a row, and what it opens.
        $this->clickOn('tr:has([data-title=spiling]) .rowmenu');
        $this->named('Duplicate');
        $this->waitForStillness();
        $this->strike(Keys::ESCAPE);
        $this->waitUntilGone('[role=menu]');
        $this->isAt('title spiling', 'the menu of a row, and Esc');
        foreach (['Add several rows' => 'textarea', 'Rename' => 'input.title-entry', 'Add a row below' => 'input.title-entry'] as $entry => $opens) {
            $this->clickOn('tr:has([data-title=spiling]) .rowmenu');
            $this->named($entry);
            $this->waitForStillness();
            $this->named($entry)->click();
            $this->find($opens);
            $this->waitForStillness();
            $this->waitForFocus($opens);
            $this->strike(Keys::ESCAPE);
            $this->browser->wait(90, 50)->until(fn (): bool => str_contains($this->here(), 'spiling'), "After {$entry} and Esc the focus is at ".$this->here());
        }
        $this->assertNoScriptErrors();
    }

    public function test_of_dialogs(): void
    {
        $this->open();
        foreach (['change' => '', 'plans…' => '', 'columns…' => '', 'Keys' => ''] as $button => $_) {
            $find = fn (): RemoteWebElement => $this->browser->findElement(WebDriverBy::xpath("//button[normalize-space(.)='{$button}']"));
            foreach (['a click' => static fn (RemoteWebElement $element) => $element->click(), 'Enter' => static fn (RemoteWebElement $element) => $element->sendKeys(Keys::ENTER)] as $how => $open) {
                $open($find());
                $this->find('.mantine-Modal-content');
                $this->waitForStillness();
                $this->strike(Keys::ESCAPE);
                $this->isAt($button, "{$how} on {$button}, and Esc");
                $this->waitUntilGone('.mantine-Modal-content');
            }
            $find()->click();
            $this->find('.mantine-Modal-content');
            $this->waitForStillness();
            $this->find('.mantine-Modal-close')->click();
            $this->isAt($button, "{$button} and its cross");
            $this->waitUntilGone('.mantine-Modal-content');
        }
        $this->focus(self::cell('l-steam', 'sample'));
        $this->strike('?');
        $this->find('.keylists');
        $this->waitForStillness();
        $this->strike(Keys::ESCAPE);
        $this->isAt('l-steam/sample', '? and Esc');

        foreach (['sightlines', 'notices'] as $lens) {
            $this->visit("/keep/courses/clinker?lens={$lens}");
            $this->find('td[data-row=l-steam]');
            $this->focusGrid();
            $here = $this->here();
            $this->strike('v');
            $this->find('.mantine-Modal-content');
            $this->waitForStillness();
            $this->strike(Keys::ESCAPE);
            $this->isAt($here, "v and Esc in {$lens}");
            $this->waitUntilGone('.mantine-Modal-content');
            $this->strike(Keys::ENTER);
            $this->find('.sheet');
            $this->strike(Keys::ESCAPE);
            $this->waitUntilGone('.sheet');
            $this->isAt($here, "Enter and Esc in {$lens}");
        }
        $this->visit('/keep/courses/clinker?lens=timeline&row=m-tools');
        $this->find('td[data-row=m-tools]');
        // What can be moved is known once all of time is there.
        $this->browser->wait(90, 50)->until(fn (): bool => $this->browser->executeScript('return document.querySelector(arguments[0]) !== null', [self::css('td[data-row=m-tools] .grip')]) === true);
        $this->focus('td[data-row=m-tools]');
        $this->strike(Keys::ENTER);
        $this->find('.moveline');
        $this->waitForStillness();
        $this->strike(Keys::ESCAPE);
        $this->isAt('m-tools/time', 'moving an opening, and Esc');
        $this->assertNoScriptErrors();
    }
}
