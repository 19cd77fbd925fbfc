<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** A course from nothing, by keyboard. */
final class NewCourseJourneyTest extends BrowserTestCase
{
    public function test_a_course_is_made_ordered_and_published_without_the_mouse(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses');
        $this->find('.pagehead button')->sendKeys(Keys::ENTER);
        $this->waitForFocus('.mantine-Modal-content input');
        $this->type('Caulking for beginners'.Keys::ENTER);
        $this->waitForText('.head', 'Caulking for beginners');
        $this->waitForText('.head .state', 'not live yet');

        // Three modules, then lessons inside the first.
        $this->named('Add the first rows')->sendKeys(Keys::ENTER);
        $this->waitForFocus('.mantine-Modal-content textarea');
        $this->type('Seams'.Keys::ENTER.'Oakum'.Keys::ENTER.'Pitch');
        $this->keys(Keys::CONTROL, Keys::ENTER);
        $this->waitForText('tr[data-kind=module]', 'Pitch');
        $this->waitUntilGone('.mantine-Modal-content');
        $this->focusGrid();
        $this->type('n');
        $this->waitForFocus('.mantine-Modal-content textarea');
        $this->type(implode(Keys::ENTER, ['Reaming', 'Raking out', 'Hooks', 'Irons', 'Mallets', 'Gauging', 'Oiling', 'Brushing out']));
        $this->keys(Keys::CONTROL, Keys::ENTER);
        $this->waitForText('tr[data-kind=lesson]', 'Brushing out');
        $this->waitUntilGone('.mantine-Modal-content');

        // The second module opens two days after the one before; the first lesson is a sample.
        $this->focusGrid();
        $this->type(str_repeat(Keys::ARROW_DOWN, 9).Keys::ENTER);
        $this->waitForText('.editor', 'Oakum opens');
        $this->choose(4);
        $this->find('.editor input[inputmode]');
        $this->type(Keys::TAB.'2'.Keys::ENTER);
        $this->waitForText('td[data-row=oakum][data-column=opens]', '2 days after the one before');
        $this->focusGrid();
        $this->type(Keys::ARROW_DOWN.str_repeat(Keys::ARROW_RIGHT, 5).Keys::ENTER);
        $this->find('[role=menuitem]');
        $this->type(Keys::ARROW_DOWN.Keys::ENTER);
        $this->waitForText('td[data-row=reaming][data-column=sample]', 'yes');

        // Pitch goes up, back by undo, up again by redo.
        $this->focusGrid();
        $this->type(str_repeat(Keys::ARROW_DOWN, 10));
        $this->keys(Keys::ALT, Keys::ARROW_UP);
        $this->waitForText('tbody tr:nth-child(10)', 'Pitch');
        $this->keys(Keys::CONTROL, 'z');
        $this->waitForText('tbody tr:nth-child(10)', 'Oakum');
        $this->keys(Keys::CONTROL, 'y');
        $this->waitForText('tbody tr:nth-child(10)', 'Pitch');
        $this->keys(Keys::CONTROL, 'z');
        $this->waitForText('tbody tr:nth-child(10)', 'Oakum');

        // The modules come one after the other, and the course has two tiers; Oakum is for the higher one.
        $this->named('change')->sendKeys(Keys::ENTER);
        $this->waitForFocus('.review input');
        $this->focusField('Tiers');
        $this->type('hand, foreman');
        $this->focusField('Its modules one after the other');
        $this->type(' '.Keys::ENTER);
        $this->waitUntilGone('.mantine-Modal-content');
        $this->focusGrid();
        $this->type(str_repeat(Keys::ARROW_DOWN, 9).str_repeat(Keys::ARROW_RIGHT, 4).Keys::ENTER);
        $this->waitForText('.editor', 'Every pass');
        $this->type(' ');
        $this->waitForText('.editor', 'Passes of these tiers');
        $this->type(Keys::TAB.Keys::TAB.' '.Keys::ENTER);
        $this->waitForText('td[data-row=oakum][data-column=forWhom]', 'foreman');
        $this->waitForText('td[data-row=oakum][data-column=after]', 'in its turn');

        // Pitch opens on a date, the first module some days after joining.
        $this->focusGrid();
        $this->type(str_repeat(Keys::ARROW_DOWN, 10).Keys::ENTER);
        $this->waitForText('.editor', 'Pitch opens');
        $this->choose(2);
        $this->find('.editor input[type=datetime-local]');
        $this->type(Keys::TAB.'03032027'.Keys::TAB.'0900AM'.Keys::ENTER);
        $this->waitForText('td[data-row=pitch][data-column=opens]', 'Mar 2027, 09:00');
        $this->focusGrid();
        $this->type(Keys::ENTER);
        $this->waitForText('.editor', 'Seams opens');
        $this->choose(3);
        $this->find('.editor input[inputmode]');
        $this->type(Keys::TAB.'1'.Keys::ENTER);
        $this->waitForText('td[data-row=seams][data-column=opens]', '1 day after joining');

        $this->named('Review')->sendKeys(Keys::ENTER);
        $this->waitForText('.publish', 'is published for the first time');
        $this->named('Publish 1 change')->sendKeys(Keys::ENTER);
        $this->waitForText('.flash', 'Published as revision 1');
        $this->waitForText('.head .state', 'live');
        self::assertSame('live', $this->find('.head .state')->getText());
        $this->assertNoScriptErrors();

        $this->asNobody();
        $this->visit('/courses/caulking-for-beginners');
        $this->waitForText('#reaming', 'have a look');
    }

    /** In the list of rules that has the focus: the n-th below the present one. */
    private function choose(int $below): void
    {
        $this->type(Keys::ARROW_DOWN);
        $this->find('[role=option]');
        $this->type(str_repeat(Keys::ARROW_DOWN, $below).Keys::ENTER);
    }
}
