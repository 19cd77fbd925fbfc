<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** What an administrator looks at in the morning, by keyboard alone. */
final class TodayJourneyTest extends BrowserTestCase
{
    public function test_the_question_is_answered_on_today_in_three_actions(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/today');
        $this->waitForText('.week', 'Clinker planking');
        $who = $this->find('form[role=search] input');
        $who->click();
        $this->typeAtFocus('eira');
        $this->waitForText('[role=option]', 'Eira Holm');
        $this->typeAtFocus(Keys::TAB);
        $this->typeAtFocus('rivets');
        $this->waitForText('[role=option]', 'Rivets and roves');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('.answer', 'is not finished');
        $this->waitForText('.answer', 'Hand it out');
        $this->waitForFocus('.answer');

        // The remedy, without leaving the page.
        $this->named('Hand it out')->click();
        $this->waitForText('.answer', 'Open');
        self::assertStringEndsWith('/keep/today', $this->browser->getCurrentURL());
        $this->assertNoScriptErrors();
    }

    public function test_bug_whoever_pressed_enter_before_the_lists_had_come_was_told_nothing(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/today');
        $this->find('form[role=search] input')->click();
        $this->typeAtFocus('sunniva'.Keys::TAB.'rivets'.Keys::ENTER);
        $this->waitForText('.answer', 'Why can Sunniva Dahl not see Rivets and roves?');
        $this->waitForText('.answer', 'is not finished');
        $this->assertNoScriptErrors();
    }

    public function test_by_ctrl_k_it_is_answered_from_anywhere_and_anything_is_found(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/offers');
        $this->find('main');
        $this->keys(Keys::CONTROL, 'k');
        $this->waitForFocus('.mantine-Spotlight-search');
        $this->typeAtFocus('why sunniva rivets');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('.answered', 'Why can Sunniva Dahl not see Rivets and roves?');
        $this->waitForText('.answered', 'is not finished');
        $this->typeAtFocus(Keys::ESCAPE);
        $this->waitUntilGone('[role=dialog]');

        // In their own words, and then under what was last gone to.
        $this->keys(Keys::CONTROL, 'k');
        $this->waitForFocus('.mantine-Spotlight-search');
        $this->typeAtFocus('drip');
        $this->waitForText('[data-action][data-selected]', 'Release plan');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('h1', 'Clinker planking');
        $this->keys(Keys::CONTROL, 'k');
        $this->waitForFocus('.mantine-Spotlight-search');
        $this->waitForText('[data-action]', 'Release plan');
        $this->assertNoScriptErrors();
    }

    public function test_a_finding_is_mended_and_another_is_meant_so(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/courses/rigging/checks');
        $this->waitForText('.level', 'No offer goes by the plan spring');
        $this->named('In the draft: the plan spring goes')->click();
        $this->waitUntilSaidNoMore('No offer goes by the plan spring');

        $this->named('It is meant so')->click();
        $this->waitForFocus('[role=dialog] input');
        $this->typeAtFocus('Both are one lesson in the end.');
        $this->typeAtFocus(Keys::ENTER);
        $this->waitForText('.level', 'Both are one lesson in the end.');
        $this->named('Look at it again')->click();
        $this->waitUntilSaidNoMore('Both are one lesson in the end.');
        $this->assertNoScriptErrors();
    }

    private function waitUntilSaidNoMore(string $words): void
    {
        $this->browser->wait(90, 50)->until(fn (): bool => ! str_contains((string) $this->browser->executeScript('return document.querySelector("main").innerText'), $words));
    }
}
