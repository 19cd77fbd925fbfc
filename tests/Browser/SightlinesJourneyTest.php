<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Looking as others will: why a course is blank, when it opens, how two see it, and standing in for somebody. */
final class SightlinesJourneyTest extends BrowserTestCase
{
    private const APPRENTICE = "[data-column='holder:3:apprentice-pass']";

    public function test_why_an_observer_sees_nothing_is_found_and_mended_by_keyboard(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/winter-refit?lens=sightlines');
        $this->waitForText('.blind', 'nothing is open');
        $this->browser->executeScript('document.querySelector("td[data-row=l-oakum][data-column^=observer]").focus()');
        $this->type('w');
        $this->waitForText('.blindspot', 'The observer door is shut.');
        $this->waitForText('.blindspot', 'rows are open to them');
        $this->browser->executeScript('[...document.querySelectorAll("[class*=_blindspot_] button")][0].focus()');
        $this->type(Keys::ENTER);
        $this->waitUntilGone('.blindspot');
        $this->find('td[data-row=l-oakum][data-column^=observer] [data-glyph=open]');
        $this->waitForText('.acts', 'Review 1 unpublished change');

        // Beside what is live, the changed cells are marked.
        $this->named('Both')->click();
        $this->find('td[data-row=l-oakum][data-column^=observer] .changed');
        $this->waitForText('.strip', 'rows change');
        $this->assertNoScriptErrors();
    }

    public function test_time_is_moved_to_the_opening_of_the_second_module_without_asking_the_server(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?lens=sightlines');
        $this->find('td[data-row=m-tools]'.self::APPRENTICE.' [data-glyph=later]');
        $this->waitForText('.then', 'Next ');
        $asked = $this->requests();
        $this->focusGrid();
        for ($press = 0; $press < 20 && $this->glyph('m-tools') !== 'open'; $press++) {
            $this->type(']');
        }
        self::assertSame('open', $this->glyph('m-tools'));
        $now = (new \DateTimeImmutable('@'.self::$loadedAt))->setTimezone(new \DateTimeZone('Europe/Oslo'));
        $opens = $now->modify('+4 days');
        $this->waitForText('.when', $opens->format($opens->format('Y') === $now->format('Y') ? 'D j M' : 'D j M Y').', 09:00');
        self::assertSame($asked, $this->requests());

        // The instant is in the address, so that it can be sent to somebody.
        $this->browser->wait(30, 100)->until(fn (): bool => str_contains($this->browser->getCurrentURL(), 'at='));
        $this->browser->navigate()->refresh();
        $this->find('td[data-row=m-tools]'.self::APPRENTICE.' [data-glyph=open]');
        $this->waitForText('.then', 'Next ');

        // Back to now, and by the mouse to the far end, where the pass has ended.
        $this->focusGrid();
        $this->type('0');
        $this->find('td[data-row=m-tools]'.self::APPRENTICE.' [data-glyph=later]');
        $ruler = $this->find('.ruler');
        (new WebDriverActions($this->browser))->moveToElement($ruler, 0, 0)->clickAndHold()->moveByOffset((int) ($ruler->getSize()->getWidth() / 2) - 4, 0)->release()->perform();
        $this->find('td[data-row=m-tools]'.self::APPRENTICE.' [data-glyph=over]');
        $this->assertNoScriptErrors();
    }

    public function test_what_breaks_an_expectation_is_seen_while_it_is_edited(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/winter-refit?lens=sightlines');
        $cell = 'td[data-row=l-oakum][data-column=visitor]';
        $this->find("{$cell} [data-glyph=locked]")->click();
        $this->named('Expect it never to open for them')->click();
        $this->find("{$cell} .expects:not(.unkept)");
        $this->waitForText('.title', 'The one expectation is kept');

        $this->visit('/keep/courses/winter-refit');
        $this->browser->executeScript('document.querySelector("td[data-row=l-oakum][data-column=sample]").focus()');
        $this->type('y');
        $this->find('[role=option]');
        $this->type(Keys::ENTER);
        $this->waitForText('.title', 'The one expectation is not kept');
        $this->named('The one expectation is not kept')->click();
        $this->named('show it')->click();
        $this->find("{$cell} .expects.unkept");
        $this->waitForText('aside', 'It is open as a sample.');
        $this->named('Let it go')->click();
        $this->waitUntilGone("{$cell} .expects");
        $this->waitUntilGone('.title button');
        $this->assertNoScriptErrors();
    }

    public function test_a_guest_is_compared_with_a_visitor(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?lens=sightlines');
        $this->find('[aria-label^="a guest"]')->click();
        $this->named('Compare with')->click();
        $this->named('a visitor')->click();
        $this->waitForText('.strip', 'a guest and a visitor differ in');
        $this->find('td[data-row=l-open-day][data-column=guest] [data-glyph=open]');
        $this->find('td[data-row=l-open-day][data-column=visitor] [data-glyph=hidden]');
        // What both see alike is not there.
        self::assertSame(0, $this->browser->executeScript('return document.querySelectorAll("td[data-row=l-garboard]").length'));
        self::assertStringContainsString('compare', $this->browser->getCurrentURL());
        $this->browser->executeScript('document.activeElement.blur()');
        $this->type(Keys::ESCAPE);
        $this->find('td[data-row=l-garboard][data-column=guest]');
        $this->assertNoScriptErrors();
    }

    public function test_somebody_is_pinned_and_kept_under_a_name(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?lens=sightlines');
        $this->focusGrid();
        $this->type('v');
        $this->find('[aria-label="Name or e-mail"]')->sendKeys('eir');
        $this->find('[aria-label="Add Eira Holm"]')->click();
        $this->waitForText('.wholine', 'Eira Holm');
        $this->find('[aria-label^="Take a visitor"]')->click();
        $this->focusField('Keep these columns as');
        $this->type('Eira’s view'.Keys::ENTER);
        $this->waitForText('.found', 'Eira’s view');
        $this->type(Keys::ESCAPE);
        $this->waitUntilGone('.whos');
        $this->find("td[data-row=l-planes][data-column^='person:'] [data-glyph=open]");
        self::assertSame(0, $this->browser->executeScript('return document.querySelectorAll("td[data-column=visitor]").length'));
        $this->assertNoScriptErrors();
    }

    public function test_one_stands_in_for_a_learner_after_the_end_of_a_trial(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/clinker?lens=sightlines');
        $this->typeInto(fn () => $this->find('input[aria-label="Day of Yard trial"]'), Keys::BACKSPACE.'12'.Keys::ENTER);
        $this->find("td[data-row=l-planes][data-column='holder:12:yard-trial'] [data-glyph=over]");
        $this->find('[aria-label^="Yard trial, day 12"]')->click();
        $this->named('Stand in for them')->click();
        $this->waitForText('.frames h2', 'Yard trial, day 12');
        $this->browser->switchTo()->frame($this->find('iframe'));
        $this->waitForText('.standin-strip', 'Stand-in for Yard trial, day 12');
        $this->named('Tuning a plane')->click();
        $this->waitForText('.notice', 'Your pass has ended');
        $this->waitForText('.standin-strip', 'Stand-in for Yard trial, day 12');
        $this->browser->switchTo()->defaultContent();

        // Beside them anybody, by a part of their name.
        $this->find('input[aria-label="Who is beside them"]')->click();
        $this->typeAtFocus('eira');
        $this->waitForText('[role=option]', 'Eira Holm · eira@alder.test');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('.frames section:nth-of-type(2) h2', 'Eira Holm');
        self::assertStringContainsString('person', $this->browser->getCurrentURL());
        $this->assertNoScriptErrors();
    }

    public function test_an_opening_is_moved_on_the_timeline_by_mouse_and_by_keyboard(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/steam-frames?lens=sightlines');
        $this->find('td[data-row=m-bend]');
        $this->focusGrid();
        $this->type('3');
        $this->waitForText('.then', 'Next ');
        $this->browser->executeScript('document.querySelector("td[data-row=m-bend]").focus()');
        $grip = $this->find('tr.here .grip');
        (new WebDriverActions($this->browser))->clickAndHold($grip)->moveByOffset(50, 0)->release()->perform();
        // It waits for a Monday: seven days more are one Monday more on whatever day this runs, two need not be.
        $this->waitForText('form[aria-label^="Move the opening"]', '(was 14)');
        $this->waitForText('form[aria-label^="Move the opening"]', 'on Mondays');
        $this->waitForText('form[aria-label^="Move the opening"] .eff', 'becomes');
        self::assertSame('21', $this->find('form[aria-label^="Move the opening"] input')->getAttribute('value'));
        $this->named('Leave it as it was')->click();
        $this->waitUntilGone('form[aria-label^="Move the opening"]');

        $this->browser->executeScript('document.querySelector("td[data-row=m-bend]").focus()');
        $this->type(Keys::ENTER);
        $this->waitForFocus('form[aria-label^="Move the opening"] input');
        $this->type(Keys::BACKSPACE.'9'.Keys::ENTER);
        $this->waitUntilGone('form[aria-label^="Move the opening"]');
        $this->waitForText('.acts', 'Review 1 unpublished change');
        $this->browser->executeScript('document.activeElement.blur()');
        $this->type('1');
        $this->waitForText('td[data-row=m-bend][data-column=opens]', '19 days after the one before');
        $this->assertNoScriptErrors();
    }

    private function glyph(string $row): string
    {
        $glyph = $this->browser->executeScript('return document.querySelector(arguments[0]).dataset.glyph', [self::css("td[data-row={$row}]".self::APPRENTICE.' .c')]);

        return is_string($glyph) ? $glyph : '';
    }

    /** How many times this page has asked the server for anything. */
    /** What the page has asked the server for, but whether somebody else has edited the draft, which it asks every few seconds. */
    private function requests(): int
    {
        $count = $this->browser->executeScript('return performance.getEntriesByType("resource").filter((one) => (one.initiatorType === "fetch" || one.initiatorType === "xmlhttprequest") && !one.name.includes("/draft/news")).length');

        return is_int($count) ? $count : -1;
    }
}
