<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Closed doors, from both sides. */
final class NoticesJourneyTest extends BrowserTestCase
{
    public function test_who_signs_in_at_a_locked_lesson_is_back_at_just_that_lesson(): void
    {
        $this->asNobody();
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Tuning a plane needs a pass');
        $this->find('.notice a[href*="/sign-in"]')->click();
        $this->find('input[type=email]')->sendKeys('eira@alder.test');
        $this->find('input[type=password]')->sendKeys('larch-and-oak'.Keys::ENTER);
        $this->waitForText('h1', 'Tuning a plane');
        self::assertStringEndsWith('/courses/clinker/l-planes', $this->browser->getCurrentURL());
        $this->waitUntilGone('.notice');
        $this->assertNoScriptErrors();
    }

    public function test_words_for_a_row_are_written_from_the_lens_by_keyboard_and_read_there(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->focusGrid();
        $this->type('4');
        $this->find('td[data-row=l-planes][data-column=member] .met');
        $this->browser->executeScript('document.querySelector("td[data-row=l-planes][data-column=member]").focus()');
        $this->type(Keys::ENTER);
        $this->waitForText('.sheet', 'Where the words come from');
        $this->waitForText('.mininotice h4', 'Tuning a plane needs a pass');
        self::assertStringContainsString('who=member', $this->browser->getCurrentURL());
        // Esc goes back to the cell that it came from.
        $this->type(Keys::ESCAPE);
        $this->waitUntilGone('.sheet');
        $this->waitForFocus('td[data-row=l-planes]');
        $this->type(Keys::ENTER);
        $this->waitForText('.levels', 'Own');
        $this->find('.levels a[href*="item=l-planes"]')->sendKeys(Keys::ENTER);
        $this->waitForText('h2', 'Somebody we know who has no pass');
        $this->waitForText('.notice-preview h2', 'Tuning a plane needs a pass');
        $heading = $this->named('Heading');
        $heading->clear();
        $heading->sendKeys('Planes are sharp here');
        $this->waitForText('.notice-preview h2', 'Planes are sharp here');
        $this->named('Save')->sendKeys(Keys::ENTER);
        $this->waitForText('.flash', 'Whoever meets this door from now on reads it so.');
        $this->visit('/keep/courses/clinker?lens=notices&row=l-planes&who=member');
        $this->waitForText('td[data-row=l-planes][data-column=member] .source', 'own');
        $this->waitForText('td[data-row=p-iron][data-column=member] .source', 'module');
        $this->waitForText('.mininotice h4', 'Planes are sharp here');
        $this->signIn('jonas');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Planes are sharp here');
        $this->assertNoScriptErrors();
    }

    public function test_who_asked_is_written_to_when_a_retired_course_runs_again(): void
    {
        $this->asNobody();
        $this->visit('/courses/petrol');
        $this->waitForText('.closing', 'This course is not given any more.');
        $this->named('Your name')->sendKeys('Alva Brekke');
        $this->named('Your e-mail address')->sendKeys('alva@elsewhere.test');
        $this->named('Tell me')->click();
        $this->waitForText('.flash', 'We write to alva@elsewhere.test when Petrol engines for small boats runs again.');

        $this->signIn('hege');
        $this->visit('/keep/courses/petrol/run-again');
        $this->waitForText('.runagain', '1 person waits to be told');
        $this->named('Move them in the draft')->click();
        $this->waitForText('.flash', 'All dates are moved, in the draft of the course.');
        $this->visit('/keep/courses/petrol/rehearsal');
        $this->waitForText('.rehearsal', 'state is now live');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision 2');
        $this->visit('/keep/courses/petrol/run-again');
        $this->waitForText('.runagain', 'It runs now');
        $this->named('Write to them')->click();
        $this->waitForText('.flash', '1 person is being written to.');
        self::artisan('queue:work', '--once', '--stop-when-empty');
        $this->visit('/keep/outbox');
        $this->waitForText('.letters', 'Petrol engines for small boats runs again');
        // The old page is the course again.
        $this->asNobody();
        $this->visit('/courses/petrol');
        $this->waitForText('h1', 'Petrol engines');
        $this->waitUntilGone('.closing');
        $this->assertNoScriptErrors();
    }

    public function test_dates_are_moved_together_and_looked_at_over_time(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker/run-again');
        $this->waitForText('.shifted', 'Launch day opens');
        $this->waitForText('.runagain [role=status]', 'All dates move on by');
        $this->named('Move them in the draft')->click();
        $this->waitForText('.flash', 'All dates are moved');
        self::assertStringContainsString('lens=timeline', $this->browser->getCurrentURL());
        $this->named('Review 2 unpublished changes');
        $this->assertNoScriptErrors();
    }
}
