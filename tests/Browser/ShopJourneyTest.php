<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** What is sold, to whom, how often, and what becomes of it: from the administrator's table to the buyer's lesson. */
final class ShopJourneyTest extends BrowserTestCase
{
    public function test_a_trial_that_ended_was_paused_or_was_withdrawn_is_claimed_never_again(): void
    {
        $this->signIn('nina');
        $this->assertNotOffered('Yard trial', '/courses/clinker', '/courses/clinker/l-garboard');
        $this->assertRefused('/checkout/yard-trial', 'it is there once for each person');

        $marius = self::value("select id from people where email = 'marius@alder.test'");
        foreach (['Pause' => 'is paused', 'Withdraw' => 'was withdrawn'] as $act => $heading) {
            $this->signIn('hege');
            $this->visit("/keep/people/{$marius}");
            $this->waitForText('.held', 'Yard trial');
            $this->named('something with the Yard trial')->click();
            $this->waitForStillness();
            $this->find('[role=menu]');
            $this->browser->findElement(WebDriverBy::xpath("//*[@role='menuitem'][starts-with(normalize-space(.), '{$act}')]"))->click();
            $this->find('[role=dialog] button[type=submit]')->click();
            $this->waitForText('.flash', 'Take it back');
            $this->signIn('marius');
            $this->visit('/courses/clinker/l-planes');
            $this->waitForText('.notice h1', "Your pass {$heading}");
            $this->assertNotOffered('Yard trial', '/courses/clinker', '/courses/clinker/l-garboard');
            $this->assertRefused('/checkout/yard-trial', 'it is there once for each person');
        }
        // Somebody who is new takes it, once.
        $this->signIn('jonas');
        $this->visit('/courses/clinker');
        $this->named('Yard trial')->click();
        $this->waitForText('.doorform', 'Yard trial');
        $this->named('Claim it')->click();
        $this->waitForText('.flash', 'You hold Yard trial now.');
        $this->assertRefused('/checkout/yard-trial', 'it is there once for each person');
        $this->assertNoScriptErrors();
    }

    public function test_a_bonus_is_bought_refunded_gone_and_bought_again(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/offers');
        $this->named('New offer')->click();
        $this->find('[role=dialog] input[maxlength="100"]')->sendKeys('Oar bonus');
        $this->choose('Sale', 'For a price');
        $this->named('Price')->sendKeys('25');
        $this->choose('Tier', 'apprentice');
        $this->choose('Scope', 'building the oars');
        $this->named('Labels that its holders have')->sendKeys('oar-bonus');
        $this->named('Keep in the draft')->click();
        $this->waitForText('.matrix', 'Oar bonus');
        $this->visit('/keep/courses/clinker/rehearsal');
        $this->waitForText('.publish', 'The offer Oar bonus is added');
        $this->named('Publish 1 change')->click();
        $this->waitForText('.flash', 'Published as revision 2');

        foreach (['bought', 'bought again'] as $time) {
            $this->signIn('eskil');
            $this->visit('/courses/clinker');
            $this->waitForText('.path', 'The garboard');
            self::assertStringNotContainsString('l-bonus', $this->browser->getPageSource(), $time);
            $this->visit('/checkout/oar-bonus');
            $this->named('Buy it for')->click();
            $this->waitForText('.flash', 'You hold Oar bonus now.');
            $this->visit('/courses/clinker/l-bonus');
            $this->waitForText('.lesson', 'Leave the loom heavy');
            $this->signIn('hege');
            $this->visit('/keep/outbox/shop');
            $this->named('Refund')->click();
            $this->waitForText('.flash', 'was withdrawn');
            $this->signIn('eskil');
            $this->visit('/courses/clinker/l-bonus');
            $this->waitForText('.errorpage', 'nothing');
        }
        $this->assertNoScriptErrors();
    }

    public function test_a_renewal_goes_on_where_the_pass_ends_and_after_its_end_begins_at_once(): void
    {
        $this->signIn('odd');
        $this->visit('/courses/clinker');
        $this->named('Apprentice pass')->click();
        $this->waitForText('.doorform', 'This goes on from there.');
        $this->named('Buy it for 240 EUR')->click();
        $this->waitForText('.flash', 'You hold Apprentice pass now.');
        self::assertSame('1', self::value("select count(*) from passes p join passes q on q.person_id = p.person_id and q.starts_at = p.ends_at join people on people.id = p.person_id where email = 'odd@alder.test'"));

        $this->signIn('gro');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Your pass has ended');
        $this->named('Apprentice pass')->click();
        // The pace begins again for whoever let a pass run out; they are told before they buy.
        $this->waitForText('.doorform', 'The days of a new one count from now');
        $this->named('Buy it for 240 EUR')->click();
        $this->waitForText('.flash', 'You hold Apprentice pass now.');
        $this->waitForText('.notice h1', 'Tuning a plane is not open yet');
        $this->assertNoScriptErrors();
    }

    public function test_an_upgrade_takes_the_place_of_the_lesser_pass_at_its_own_price(): void
    {
        $this->signIn('torvald');
        $this->visit('/courses/clinker');
        $this->named('Journeyman pass')->click();
        $this->waitForText('.doorform', 'It takes the place of what you hold: Apprentice pass.');
        $this->named('Buy it for 180 EUR')->click();
        $this->waitForText('.flash', 'You hold Journeyman pass now.');
        $this->visit('/courses/clinker');
        $this->waitForText('.passline', 'Journeyman pass');
        self::assertStringNotContainsString('Apprentice pass', $this->find('.offersbox, main')->getText());
        self::assertSame('1', self::value("select count(*) from passes join people on people.id = person_id where email = 'torvald@alder.test' and ends_at > '2037-04-01' or (email = 'torvald@alder.test' and ends_at is null)"));
        $this->assertNoScriptErrors();
    }

    public function test_a_bundle_of_three_courses_misses_a_payment_and_is_paid_late(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/offers');
        $this->named('New bundle')->click();
        $this->find('[role=dialog] input[maxlength="100"]')->sendKeys('The whole yard');
        foreach (['Apprentice pass', 'Frames pass', 'Refit crew'] as $offer) {
            $this->choose('Offers, each of which gives a pass', $offer);
        }
        // On to the next field: the list goes.
        $this->typeAtFocus(Keys::TAB);
        $this->waitForStillness();
        $this->choose('Sale', 'For a price');
        $this->named('Price')->sendKeys('20');
        $this->choose('It is paid for', 'Each month');
        $this->named('Save')->click();
        $this->waitForText('#bundles', '20 EUR a month');

        $this->signIn('malfrid');
        $this->visit('/courses/clinker');
        $this->named('The whole yard')->click();
        $this->waitForText('.includes', 'Frames pass of Steam-bent frames');
        $this->named('Buy it for 20 EUR a month')->click();
        $this->waitForText('.flash', 'You hold The whole yard now.');
        $this->assertOpen('/courses/winter-refit/l-oakum');
        $this->visit('/courses/steam-frames');
        $this->waitForText('.passline', 'Frames pass, to');

        // The second payment does not come; a week of grace later all three have ended.
        self::moveTheClock(31);
        $this->playsTheShop('It does not', 'They were written to');
        self::moveTheClock(40);
        $this->signIn('malfrid');
        $this->assertClosed('/courses/clinker/l-planes', '/courses/steam-frames/l-rive', '/courses/winter-refit/l-oakum');
        $this->playsTheShop('Payment 2 comes', 'They are back');
        $this->signIn('malfrid');
        // Paced from the first day on, as if they had never been away.
        $this->assertOpen('/courses/clinker/l-planes', '/courses/winter-refit/l-oakum');
        $this->visit('/courses/steam-frames');
        $this->waitForText('.passline', 'Frames pass, to');
        $this->assertNoScriptErrors();
        self::moveTheClock(0);
    }

    public function test_a_course_that_is_over_or_retired_is_sold_from_no_page(): void
    {
        self::moveTheClock(71);
        foreach (['sverre', 'jonas'] as $who) {
            $this->signIn($who);
            $this->assertNotOffered('Refit crew', '/', '/courses', '/courses/winter-refit', '/courses/winter-refit/l-oakum');
            $this->visit('/courses/winter-refit');
            $this->waitForText('.closing', 'This course has been over since');
            $this->assertRefused('/checkout/refit-crew', 'This course has been over since');
        }
        foreach (['runa', 'jonas'] as $who) {
            $this->signIn($who);
            $this->assertNotOffered('Engine pass', '/', '/courses', '/courses/petrol', '/courses/petrol/l-winter');
            $this->assertRefused('/checkout/engine-pass', 'This course is not given any more.');
        }
        $this->asNobody();
        $this->assertNotOffered('Refit crew', '/', '/courses/winter-refit', '/courses/petrol');
        $this->assertRefused('/checkout/refit-crew', 'This course has been over since');
        self::moveTheClock(0);
    }

    /** What the stand-in for a shop tells, of the latest purchase. */
    private function playsTheShop(string $event, string $answer): void
    {
        $this->signIn('hege');
        $this->visit('/keep/outbox/shop');
        $this->named($event)->click();
        $this->waitForText('.flash', $answer);
    }

    /** Of a field of the dialog. */
    private function choose(string $label, string $option): void
    {
        $field = $this->find('[role=dialog]')->findElement(WebDriverBy::xpath(".//*[@id=(//label[contains(normalize-space(.), \"{$label}\")]/@for)]"));
        $field->click();
        $this->waitForStillness();
        $quoted = '"'.$option.'"';
        $found = array_filter($this->browser->findElements(WebDriverBy::xpath("//*[@role='option'][contains(normalize-space(.), {$quoted})]")), static fn (RemoteWebElement $one): bool => $one->isDisplayed());
        (array_values($found)[0] ?? self::fail("{$label} has no {$option}"))->click();
    }

    private function assertNotOffered(string $offer, string ...$pages): void
    {
        foreach ($pages as $page) {
            $this->visit($page);
            $this->find('main');
            $cards = $this->browser->executeScript('return [...document.querySelectorAll("[class*=_offercards_] a, a[href*=checkout]")].map((one) => one.innerText + " " + one.href).join("; ")');
            self::assertStringNotContainsString($offer, (string) $cards, $page);
        }
    }

    private function assertRefused(string $checkout, string $sentence): void
    {
        $this->visit($checkout);
        $this->waitForText('.doorform [role=status]', $sentence);
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector(self::css('.doorform button[type=submit]'))), 'There is still something to press.');
    }

    private function assertOpen(string ...$lessons): void
    {
        foreach ($lessons as $lesson) {
            $this->visit($lesson);
            $this->find('.lesson h1');
        }
    }

    private function assertClosed(string ...$lessons): void
    {
        foreach ($lessons as $lesson) {
            $this->visit($lesson);
            // In the words of the school, or the usual ones.
            $this->find('.notice .wall-over');
        }
    }
}
