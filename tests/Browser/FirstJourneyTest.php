<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

final class FirstJourneyTest extends BrowserTestCase
{
    public function test_an_opening_is_changed_published_and_met_by_its_learners(): void
    {
        $this->signInByForm('hege');
        $this->named('Clinker planking')->click();

        // Rules: Tools and timber, 3 days after joining.
        $this->find('td[data-row=m-tools][data-column=opens]')->click();
        $this->find('td[data-row=m-tools][data-column=opens]')->click();
        self::assertSame('7 days after joining, 09:00', $this->find('input.entry')->getAttribute('value'));
        $this->find('.entry-list button')->click();
        $days = $this->named('Days');
        self::assertSame('7', $days->getAttribute('value'));
        $days->sendKeys(WebDriverKeys::BACKSPACE.'3');
        $this->named('Keep in the draft')->click();
        $this->waitForText('td[data-row=m-tools][data-column=opens]', '3 days after joining, 09:00');

        // Nothing has changed for learners yet.
        $this->named('Review 1 unpublished change')->click();
        $this->waitForText('.publish', 'Tools and timber opens 3 days after joining');
        $this->waitForText('.rehearsal-main', 'gain it now');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision 2');

        // Sightlines: locked on day 2, open on day 4.
        $this->find('body')->sendKeys('2');
        foreach ([['2', 'later'], ['4', 'open']] as [$day, $glyph]) {
            $this->typeInto(fn () => $this->find('input[aria-label="Day of Apprentice pass"]'), WebDriverKeys::BACKSPACE.$day.WebDriverKeys::ENTER);
            $cell = "td[data-row=l-planes][data-column='holder:{$day}:apprentice-pass']";
            $this->find("{$cell} [data-glyph={$glyph}]");
        }
        self::assertStringContainsString('lens=sightlines', $this->browser->getCurrentURL());
        self::assertStringContainsString('Sightlines', $this->browser->getTitle());
        $this->assertNoScriptErrors();

        // The learner on day 2 is shown the right date.
        $opens = (new \DateTimeImmutable('@'.self::$loadedAt))->setTimezone(new \DateTimeZone('Europe/Oslo'))->modify('+1 day')->format('D j M');
        $this->signIn('sunniva');
        $this->visit('/courses/clinker');
        $this->waitForText('#m-tools', "Opens {$opens}");
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice', "It opens {$opens}");
        self::assertStringNotContainsString('Flatten the sole', $this->browser->getPageSource());

        // The learner on day 4 opens a lesson and finishes it.
        $this->signIn('torvald');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.lesson', 'Flatten the sole');
        $this->named('Mark as finished')->click();
        $this->waitForText('.lesson', 'Finished');
        $this->assertNoScriptErrors();
    }

    public function test_the_grid_is_walked_and_edited_by_keyboard(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/steam-frames');
        $this->find('td[data-row=m-wood][data-column=opens]');
        $this->browser->executeScript('document.querySelector("[data-cell][tabindex=\'0\']").focus()');
        $keyboard = $this->browser->getKeyboard();
        $keyboard->sendKeys(WebDriverKeys::ARROW_DOWN.WebDriverKeys::ARROW_DOWN.WebDriverKeys::ARROW_DOWN.WebDriverKeys::ARROW_DOWN);
        self::assertSame('m-bend', $this->browser->switchTo()->activeElement()->getAttribute('data-row'));
        $keyboard->sendKeys(WebDriverKeys::F2.WebDriverKeys::F4);
        $this->waitForText('.editor', 'Over the trap opens');
        $keyboard->sendKeys(WebDriverKeys::ESCAPE);
        $this->waitUntilGone('.editor');
        $keyboard->sendKeys('/');
        $this->typeAtFocus('riv');
        $this->waitForText('.filter', '1 of 9');
        $this->assertNoScriptErrors();
    }
}
