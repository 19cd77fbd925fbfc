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
        $this->keys(Keys::ALT, '4');
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

    public function test_what_stands_on_a_notice_is_put_in_another_order_by_keyboard(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker/notices?case=no-pass');
        $this->waitForText('.parts', 'Offers that open just this');
        $this->named('Add')->click();
        $this->type(Keys::ARROW_DOWN.Keys::ENTER);
        $this->waitForText('.parts li:last-child', 'A heading');
        $this->find('.parts li:last-child input')->sendKeys('Not sure yet?');
        // Up, and once more: the focus goes along with it.
        $this->find('.parts li:last-child button[aria-label^="Up"]')->sendKeys(Keys::ENTER);
        $this->waitForFocus('.parts li:nth-last-child(2) button');
        $this->type(Keys::ENTER);
        $this->waitForFocus('.parts li:nth-last-child(3) button');
        $this->waitForText('.notice-preview', 'Not sure yet?');
        $this->named('Save')->sendKeys(Keys::ENTER);
        $this->waitForText('.flash', 'Whoever meets this door from now on reads it so.');
        $this->signIn('jonas');
        $this->visit('/courses/clinker/l-garboard');
        $this->waitForText('.notice-heading', 'Not sure yet?');
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

    public function test_who_has_a_taster_takes_the_whole_course_from_the_notice_and_reads_on(): void
    {
        $this->signIn('idun');
        $this->visit('/courses/clinker/l-planes');
        $this->find('.notice h1');
        $this->waitForText('.notice .offercards', 'Opens it');
        $this->find('.notice .offercards a[href*="/checkout/apprentice-pass"]')->click();
        $this->waitForText('.doorform', 'Apprentice pass');
        $this->find('.doorform button[type=submit]')->click();
        $this->waitForText('.flash', 'You hold Apprentice pass now.');
        // The card has told the day: a week after it was taken, at nine.
        self::moveTheClock(8);
        $this->signIn('idun');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('h1', 'Tuning a plane');
        $this->waitUntilGone('.notice');
        self::moveTheClock(0);
        $this->assertNoScriptErrors();
    }

    /** It was reopened above, or is: then twelve more join, and it is retired for good. */
    public function test_a_course_is_retired_with_twelve_learners_who_keep_it_and_its_old_address_leads_to_its_end(): void
    {
        $this->signIn('hege');
        $this->reopen();
        $people = ['amund', 'bergljot', 'dagny', 'einar', 'frida', 'gaute', 'helga', 'iver', 'jenny', 'kristen', 'lars'];
        $this->give('engine-pass', $people);

        $this->visit('/keep/courses/petrol');
        $this->named('Retire')->click();
        $this->waitForText('.retire', '12 people hold a pass of it now.');
        $this->named('They keep it for good: their passes do not end')->click();
        $this->named('Another address')->sendKeys('engines-2026');
        $this->named('leads to the new one');
        $this->named('The front names it, among the courses that are over')->click();
        $this->named('Put it in the draft and rehearse it')->sendKeys(Keys::ENTER);
        $this->waitForText('.rehearsal', 'The course: state is now retired');
        $this->waitForText('.rehearsal', 'Its address becomes /courses/engines-2026; /courses/petrol leads there.');
        // Nobody who holds it loses anything.
        $this->waitForText('.rehearsal-main', 'Nobody who holds something of this course is touched');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision');

        $this->signIn('helga');
        $this->visit('/courses/petrol/l-winter');
        $this->waitForText('h1', 'Laying up an engine');
        $this->waitUntilGone('.notice');
        self::assertStringEndsWith('/courses/engines-2026/l-winter', $this->browser->getCurrentURL());
        $this->visit('/courses');
        $this->find('a[href$="/courses/engines-2026"]')->click();
        $this->waitForText('h1', 'Petrol engines');

        $this->asNobody();
        $this->visit('/');
        $this->waitForText('.over', 'Petrol engines for small boats');
        foreach (['/courses/petrol', '/courses/petrol/l-winter', '/courses/engines-2026'] as $address) {
            $this->visit($address);
            $this->waitForText('.closing', 'This course is not given any more.');
            self::assertStringEndsWith('/courses/engines-2026', $this->browser->getCurrentURL());
        }
        $this->find('.instead a[href$="/courses/winter-refit"]')->click();
        $this->waitForText('h1', 'Winter refit');
        $this->assertNoScriptErrors();
    }

    private function reopen(): void
    {
        $this->visit('/keep/courses/petrol/run-again');
        $this->find('.runagain');
        if (! str_contains($this->browser->getPageSource(), 'It goes live again: it is retired now')) {
            return;
        }
        $this->named('Move them in the draft')->click();
        $this->waitForText('.flash', 'All dates are moved');
        $this->visit('/keep/courses/petrol/rehearsal');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision');
    }

    /** @param  list<string>  $people  as their addresses begin */
    private function give(string $offer, array $people): void
    {
        $this->visit('/keep/people');
        $done = $this->browser->executeAsyncScript(<<<'JS'
            const [offer, people, done] = arguments;
            const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
            const ask = (body) => fetch('/keep/people/acts', { method: 'POST', redirect: 'manual', headers: { 'X-XSRF-TOKEN': token, 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
            const page = (at) => fetch(at, { headers: { 'X-Inertia': 'true', 'X-Inertia-Version': JSON.parse(document.querySelector('script[data-page]').textContent).version } }).then((answer) => answer.json());
            Promise.all(people.map((name) => page('/keep/people?find=' + name + '@').then(({ props }) => props.people[0].id)))
              .then((ids) => ask({ do: 'give', offer, people: ids }))
              .then((answer) => done(answer.type), (error) => done(String(error)));
            JS, [$offer, $people]);
        self::assertSame('opaqueredirect', $done);
    }
}
