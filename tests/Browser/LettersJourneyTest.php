<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Letters and shared notices, from both sides. */
final class LettersJourneyTest extends BrowserTestCase
{
    public function test_a_letter_is_put_in_other_words_and_tried_on_oneself(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/notices/letters?kind=ends-soon');
        $this->waitForText('.letter h3', 'Clinker planking: your Apprentice pass ends in 7 days');
        $subject = $this->named('Subject');
        $subject->clear();
        $subject->sendKeys('{days} days left of {course}');
        $this->waitForText('.letter h3', '7 days left of Clinker planking');
        $this->named('Send one to me')->click();
        $this->waitForText('.flash', 'One is on its way to hege@alder.test.');
        // What is typed is still there, and is not kept before it is saved.
        self::assertSame('{days} days left of {course}', $this->named('Subject')->getAttribute('value'));
        $this->find('textarea')->sendKeys(' {nonsense}');
        $this->waitForText('.notice-preview', 'Nothing stands for {nonsense}.');
        $this->named('Save')->click();
        $this->waitForText('.notice-edit', 'Nothing stands for {nonsense}. Known are');
        for ($letter = 0; $letter < strlen(' {nonsense}'); $letter++) {
            $this->find('textarea')->sendKeys(Keys::BACKSPACE);
        }
        $this->named('Save')->click();
        $this->waitForText('.flash', 'Saved. It is written so from now on.');
        $this->waitForText('nav a[aria-current]', 'in words of the school');
        self::assertSame('7 days left of Clinker planking', self::value("select subject from messages where \"to\" = 'hege@alder.test' order by id desc limit 1"));
        $this->assertNoScriptErrors();
    }

    public function test_who_gets_a_letter_stops_it_with_one_click_and_wants_it_again(): void
    {
        self::artisan('keep:write-letters');
        $stop = (string) preg_replace('~^https?://[^/]+~', '', self::value("select stop from messages where kind = 'ends-soon' and \"to\" = 'odd@alder.test'"));
        self::assertStringStartsWith('/letters/', $stop);
        $this->asNobody();
        $this->visit($stop);
        $this->waitForText('h1', 'Letters: A pass of yours ends soon');
        $this->named('Send me no more of these')->click();
        $this->waitForText('.flash', 'You get no more letters of this kind');
        $this->named('Send me these again')->click();
        $this->waitForText('.flash', 'You get letters of this kind');
        $this->named('Send me no letters at all')->click();
        $this->waitForText('.flash', 'You get no more letters, but for those that you need to sign in.');
        $this->signIn('odd');
        $this->visit('/account');
        $this->waitForText('h2', 'Letters to you');
        self::assertFalse($this->named('A pass of yours ends soon')->isSelected());
        $this->browser->executeScript('arguments[0].focus()', [$this->named('Opened today')]);
        $this->type(' ');
        $this->waitForText('.flash', 'You get letters of this kind: Opened today.');
        self::assertTrue($this->named('Opened today')->isSelected());
        $this->assertNoScriptErrors();
    }

    public function test_a_shared_notice_is_begun_published_chosen_and_changed_at_all_its_doors(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/notices/shared');
        $this->waitForText('.sharedlist', 'When a pass has ended');
        $this->named('Begin one')->click();
        $this->waitForFocus('[role=dialog] input');
        $this->type('Ask us'.Keys::ENTER);
        $this->waitForText('h1', 'Ask us');
        $this->named('Heading')->sendKeys('Ask, {name}');
        $this->named('Keep as a draft')->click();
        $this->waitForText('.flash', 'No door says it so yet.');
        $this->named('Rehearse and publish')->click();
        $this->waitForText('[role=dialog]', 'It stands nowhere: nobody reads it differently.');
        $this->find('[role=dialog] [data-autofocus]')->click();
        $this->waitForText('.flash', 'Published.');

        $this->visit('/keep/courses/clinker/notices?case=no-pass');
        $this->named('reads a shared notice')->click();
        $this->named('Which one')->click();
        $this->type(Keys::ARROW_DOWN.Keys::ENTER);
        $this->named('Save')->click();
        $this->waitForText('nav a[aria-current]', 'shared: Ask us');
        $this->signIn('jonas');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Ask, Jonas Wren');

        $this->signIn('hege');
        $this->visit('/keep/notices/shared');
        $this->waitForText('.sharedlist', 'stands in one place: Clinker planking');
        $this->waitForText('.sharedlist', 'met once in 30 days');
        $this->find('.sharedlist a')->click();
        $heading = $this->named('Heading');
        $heading->clear();
        $heading->sendKeys('Do ask, {name}');
        $this->named('Keep as a draft')->click();
        $this->waitForText('.doors', 'What you see here is a draft');
        $this->named('Rehearse and publish')->click();
        $this->waitForText('[role=dialog]', 'Tuning a plane');
        $this->waitForText('[role=dialog]', 'Publish: one door says it so');
        $this->find('[role=dialog] [data-autofocus]')->click();
        $this->waitForText('.flash', 'Published.');
        $this->signIn('jonas');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Do ask, Jonas Wren');
        $this->assertNoScriptErrors();
    }

    public function test_the_lens_of_notices_is_looked_at_over_time_by_key(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?lens=notices');
        $this->waitForText('.rail', 'Next');
        $this->focusGrid();
        $before = $this->find('td[data-row=l-planes][data-column="holder:3:apprentice-pass"] .met')->getAttribute('data-glyph');
        self::assertSame('later', $before);
        $this->type(']');
        $this->find('td[data-row=l-planes][data-column="holder:3:apprentice-pass"] [data-glyph=open]');
        self::assertStringContainsString('at=', $this->browser->getCurrentURL());
        $this->type('0');
        $this->find('td[data-row=l-planes][data-column="holder:3:apprentice-pass"] [data-glyph=later]');
        $this->assertNoScriptErrors();
    }
}
