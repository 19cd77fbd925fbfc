<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Running a school: a trial from its making to its erasing, a bonus by label, and the question why. */
final class PeopleJourneyTest extends BrowserTestCase
{
    use WalksByKeys;

    public function test_a_ten_day_trial_is_made_filled_looked_at_ended_and_erased(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/offers');
        $this->named('Make a trial of this course')->click();
        $this->waitForText('.outcomes', 'One who finishes nothing sees');
        $this->find('[role=dialog] input[maxlength="100"]')->sendKeys(str_repeat(Keys::BACKSPACE, 40).'Shed trial');
        $this->find('[role=dialog] .whenlive label:nth-of-type(2) input')->click();
        $this->named('Keep in the draft')->click();
        $this->waitForText('.matrix', 'Shed trial');
        $this->visit('/keep/courses/clinker/rehearsal');
        $this->waitForText('.publish', 'The offer Shed trial is added');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision 2');

        // Five people from a file.
        $file = sys_get_temp_dir().'/silent-keep-five-'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents($file, "Name,E-mail\nAlva Ness,alva@alder.test\nBo Lie,bo@alder.test\nCato Ruud,cato@alder.test\nDina Moe,dina@alder.test\nEira Holm,eira@alder.test\n");
        $this->visit('/keep/people/bring-in');
        $this->find('form button[type=submit]');
        $input = $this->browser->findElement(\Facebook\WebDriver\WebDriverBy::cssSelector('input[type=file]'));
        $input->setFileDetector(new LocalFileDetector);
        $input->sendKeys($file);
        $this->named('Look at the file')->click();
        $this->waitForText('h1', '.csv');
        $this->browser->executeScript('const one = [...document.querySelectorAll("[class*=_match_] select")].at(-1); const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set; set.call(one, "shed-trial"); one.dispatchEvent(new Event("change", { bubbles: true }))');
        $this->named('See what it would do')->click();
        $this->waitForText('.person', '4 are new, 1 is known already');
        $this->named('Bring in 5 rows')->click();
        $this->waitForText('.person', 'It is brought in:');
        unlink($file);

        // One's page says to the minute when it ends.
        $this->visit('/keep/people');
        $this->find('#find')->sendKeys('alva@'.Keys::ENTER);
        $this->waitForText('.listhead', '1 person');
        $this->named('Alva Ness')->click();
        $this->waitForText('.pass-active', 'Shed trial');
        $end = (new \DateTimeImmutable('@'.self::$loadedAt))->setTimezone(new \DateTimeZone('Europe/Oslo'))->modify('+10 days');
        $this->waitForText('.pass-active', 'to '.$end->format('D j M'));
        $this->assertNoScriptErrors();

        // Eira finishes something, has her apprentice pass besides, and keeps it all; the trial of Alva ends.
        self::artisan('keep:end-trials');
        self::moveTheClock(8);
        self::assertStringContainsString('warned alva@alder.test', self::artisan('keep:end-trials'));
        self::moveTheClock(11);
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker/stand-in/view/l-planes?v[]=person:'.$this->idOf('alva'));
        $this->waitForText('.notice', 'Your pass has ended');
        self::moveTheClock(18);
        $ended = self::artisan('keep:end-trials');
        self::assertStringContainsString('erased alva@alder.test', $ended);
        self::assertStringContainsString('kept eira@alder.test', $ended);
        $this->visit('/keep/people/'.$this->idOf('alva'));
        $this->waitForText('.happened', 'was erased');
        self::moveTheClock(0);
    }

    public function test_a_bonus_goes_to_the_buyers_of_one_offer_and_nobody_else_knows_of_it(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/people?holds=frames-pass');
        $this->find('[aria-label="Choose all on this page"]')->click();
        $this->named('Do something with 4 people')->click();
        $this->named('Give a label')->click();
        $this->find('[role=dialog] input')->sendKeys('frames-bonus');
        $this->waitForText('.outcomes', 'Get it');
        $this->named('Give a label: 4 people')->click();
        $this->waitForText('.flash', 'done for 4 people');

        // The bonus lesson is theirs alone, and hidden from the others; the rehearsal says who loses it.
        $this->visit('/keep/courses/steam-frames?row=l-rive');
        $this->find('[data-word=only]')->click();
        $this->named('Add a condition')->click();
        $this->find('.editor [aria-label=Label]')->sendKeys('frames-bonus');
        $this->waitForText('.readback', 'Reads: label frames-bonus');
        $this->named('Keep in the draft')->click();
        $this->waitForText('.say', 'condition label frames-bonus');
        $this->find('[data-word=whenClosed]')->click();
        $this->named('hidden')->click();
        $this->waitForText('.say', 'it is hidden');
        $this->visit('/keep/courses/steam-frames/rehearsal');
        $this->waitForText('.publish', 'Riving blanks');
        $this->waitForText('.rehearsal-main', 'Whoever takes Frames pass then');
        $this->named('Publish 2 changes')->click();
        $this->waitForText('.flash', 'Published as revision 2');
        $this->signIn('jonas');
        $this->visit('/courses/steam-frames');
        $this->waitForText('.plan', 'Reading a log');
        self::assertStringNotContainsString('Riving blanks', $this->browser->getPageSource());
        $this->signIn('ask');
        $this->visit('/courses/steam-frames');
        $this->waitForText('.path', 'Riving blanks');
        $this->assertNoScriptErrors();
    }

    /** From search to fix in three actions. */
    public function test_why_sunniva_cannot_see_the_garboard(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/people');
        // One: search, which has one answer.
        $this->find('#find')->sendKeys('sunniva'.Keys::ENTER);
        $this->waitForText('.listhead', '1 person');
        $this->named('Sunniva Dahl')->click();
        // Two: what cannot she see?
        $this->find('.whynot input')->click();
        $this->type('garb');
        $this->find('[role=option]')->click();
        $this->waitForText('.whynot .gates', 'Opens');
        $this->waitForText('.whynot .gates', 'is not finished');
        // Three: the fix.
        $this->named('Hand it out')->click();
        $this->waitForText('.flash', 'Hand The garboard out: done for 1 person');
        $this->waitForText('.whynot .verdict', 'Open');
        $this->waitForText('.held', 'The garboard');
        $this->named('Take it back')->click();
        $this->assertNoScriptErrors();
    }

    public function test_why_somebody_cannot_see_something_is_three_steps_from_anywhere(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/offers');
        $this->find('main');
        $this->keys(Keys::CONTROL, 'k');
        $this->waitForFocus('.mantine-Spotlight-search');
        $this->typeAtFocus('eira');
        $this->waitForText('[data-action][data-selected]', 'Eira Holm');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForFocus('.whynot input');
        $this->typeAtFocus('rivets');
        $this->waitForText('[role=option][data-combobox-selected]', 'Rivets and roves');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('.whynot', 'Hand it out');
        $this->waitForText('.whynot', 'is not finished');

        // Esc leaves it, and the focus is where it was.
        $this->visit('/keep/offers');
        $this->named('Find or do')->click();
        $this->waitForFocus('.mantine-Spotlight-search');
        $this->typeAtFocus(Keys::ESCAPE);
        $this->waitUntilGone('.mantine-Spotlight-search');
        $this->browser->wait(90, 50)->until(fn (): bool => $this->browser->executeScript('return document.activeElement.textContent.trim()') === 'Find or do');
        $this->assertNoScriptErrors();
    }

    private function idOf(string $name): int
    {
        return (int) self::value("select id from people where email = '{$name}@alder.test'");
    }

    public function test_somebody_is_corrected_and_erased_by_keyboard_alone(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/people/13');
        $this->waitForText('h1', 'Kaia Rønning');
        $this->press('Their data…');
        $this->waitForText('h1', 'What is kept of Kaia Rønning');
        $this->press('Correct…');
        $this->waitForFocus('[role=dialog] input');
        $this->typeAtFocus(Keys::END.' Lund'.Keys::ENTER);
        $this->waitForText('h1', 'What is kept of Kaia Rønning Lund');
        $this->waitUntilGone('[role=dialog]');
        $this->press('Erase…');
        $this->waitForFocus('[role=dialog] input');
        // What is typed wrong erases nobody.
        $this->typeAtFocus('kaia@alder'.Keys::ENTER);
        self::assertTrue($this->browser->executeScript('return document.querySelector("[role=dialog] button[type=submit]").disabled'));
        $this->typeAtFocus('.test'.Keys::ENTER);
        $this->waitForText('h1', 'What is kept of Erased person 13');
        $this->waitForText('.erased', 'Nowhere: they were looked for in everything that is stored here.');
        $this->visit('/keep/people/13');
        $this->waitForText('main', 'They were erased. What is left is a number');
        $this->assertNoScriptErrors();
    }

    public function test_what_changed_is_asked_between_two_times_and_leads_to_whom_it_touched(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker');
        $this->named('What changed')->click();
        $this->waitForText('h1', 'What changed for whom');
        $this->waitForText('.intotal', 'people.');
        self::assertStringContainsString('until=', $this->browser->getCurrentURL());
        $this->find('.touched summary')->click();
        $this->find('.touched details[open] a')->click();
        $this->waitForText('h1', 'What was open to');
        $this->assertNoScriptErrors();
    }
}
