<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** Ten ways through the school by keys alone: no mouse, no field that is found for them, and always a focus that can be seen. */
final class KeyboardJourneysTest extends BrowserTestCase
{
    use WalksByKeys;

    private function signInByKeys(string $who): void
    {
        $this->visit('/sign-in');
        $this->find('input[type=email]');
        $this->fill('E-mail address', "{$who}@alder.test");
        $this->fill('Password', 'larch-and-oak');
        $this->press('Sign in');
        $this->waitForText('.ltop', 'Signed in as');
    }

    public function test_one_signs_in_goes_on_and_signs_out(): void
    {
        $this->signInByKeys('ragna');
        $this->visit('/courses');
        $this->find('.mine li');
        $this->press('Clinker planking');
        $this->waitForText('.side h1', 'Clinker planking');
        $this->press('Start the lesson');
        $this->waitForText('.lesson h1', 'The steam box');
        $this->press('Sign out');
        $this->find('input[type=email]');
    }

    public function test_past_what_stands_on_every_page_one_comes_to_what_is_on_this_one(): void
    {
        $this->signIn('ragna');
        $this->visit('/courses/clinker/l-planes');
        $this->find('.lesson h1');
        $this->typeAtFocus(Keys::TAB);
        $this->press('To what is on this page');
        self::assertSame('main', $this->browser->executeScript('return document.activeElement.id'));
        $this->press('Clinker planking');
        $this->waitForText('.prog', 'of 7 lessons');
    }

    public function test_a_visitor_narrows_the_front_and_looks_at_a_sample(): void
    {
        $this->visit('/');
        $this->press('Hull');
        $this->waitForText('.subjects', 'Hull');
        $this->press('Have a look first: Clinker planking');
        $this->waitForText('.lesson h1', 'Welcome to the shed');
    }

    public function test_a_newcomer_buys_a_pass_and_begins(): void
    {
        $this->visit('/courses/clinker');
        $this->press('Take it: Tools only');
        $this->waitForText('.simulated', 'no money moves');
        $this->press('Buy it for');
        $this->waitForText('.doorform', 'Please type your name.');
        // The focus is at the first that is to be put right.
        $this->fill('Your name', 'Alva Brekke');
        $this->fill('Your e-mail address', 'alva@elsewhere.test');
        $this->press('Buy it for');
        $this->waitForText('.flash', 'You hold Tools only now.');
        $this->press('Tuning a plane');
        $this->waitForText('.lesson h1', 'Tuning a plane');
    }

    public function test_one_finishes_a_lesson_and_goes_to_the_next(): void
    {
        $this->signIn('bergljot');
        $this->visit('/courses/clinker/l-welcome');
        $this->find('.lesson h1');
        $this->press('Tuning a plane');
        $this->waitForText('.lesson h1', 'Tuning a plane');
        $this->press('Mark as finished');
        $this->waitForText('.did', 'Finished');
        $this->press('Choosing larch');
        $this->waitForText('.lesson h1', 'Choosing larch');
    }

    public function test_one_answers_a_quiz(): void
    {
        $this->signIn('jorunn');
        $this->visit('/courses/clinker/l-timber');
        $this->find('.quiz');
        foreach (['Fast-grown' => Keys::ARROW_DOWN, 'Kindling' => ' '] as $answer => $key) {
            $this->tabTo($answer);
            $this->typeAtFocus($key);
        }
        foreach (['Straight grain', 'Tight knots or none'] as $answer) {
            $this->tabTo($answer);
            $this->typeAtFocus(' ');
        }
        $this->press('Hand it in');
        $this->waitForText('.quiz', '100 % right.');
    }

    public function test_one_plays_a_film_and_reads_what_is_said(): void
    {
        $this->signIn('ragna');
        $this->visit('/courses/clinker/l-steam');
        $this->find('.player media-play-button[aria-label]');
        $this->tabTo('Play');
        $this->typeAtFocus(' ');
        $this->browser->wait(30, 100)->until(fn (): bool => $this->browser->executeScript('return document.querySelector("video").currentTime > 0') === true);
        $this->tabTo('Captions');
        $this->typeAtFocus(' ');
        $this->browser->wait(30, 100)->until(fn (): bool => $this->browser->executeScript('return document.querySelector("video").textTracks[0].mode') === 'showing');
        $this->press('What is said');
        self::assertTrue($this->browser->executeScript('return document.activeElement.closest("details").open'));
    }

    public function test_one_asks_answers_and_takes_back_on_a_board(): void
    {
        $this->signIn('oda');
        $this->visit('/courses/steam-frames/b-bench');
        $this->find('.posts');
        $this->fill('Say something', 'Who lends me a dolly?');
        $this->press('Post it');
        $this->waitForText('.posts', 'Who lends me a dolly?');
        $this->tabTo('Take back', Keys::TAB);
        $this->press('Answer: Ask Vollan');
        $this->fill('Your answer to Ask Vollan', 'The mill has some left.');
        $this->press('Answer');
        $this->waitForText('.posts', 'The mill has some left.');
    }

    public function test_from_a_closed_door_one_goes_to_what_is_to_be_finished_first(): void
    {
        $this->signIn('eira');
        $this->visit('/courses/clinker');
        $this->find('.path li');
        $this->press('Choosing larch');
        $this->find('.notice h1');
        $this->press('Tuning a plane');
        $this->find('h1');
        $this->browser->wait(30, 100)->until(fn (): bool => str_ends_with($this->browser->getCurrentURL(), '/l-planes'));
    }

    public function test_one_chooses_a_language_and_reads_in_it(): void
    {
        $this->signIn('ylva');
        $this->visit('/account');
        $this->find('main h1');
        $this->tabTo('As the school');
        $this->typeAtFocus(Keys::ARROW_DOWN.Keys::ARROW_DOWN);
        $this->waitForText('main', 'Språk');
        $this->press('Til det som står på denne siden');
        self::assertSame('main', $this->browser->executeScript('return document.activeElement.id'));
    }
}
