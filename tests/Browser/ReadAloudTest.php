<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Every page of the school as it is read aloud: what is named how, as what, and in which order. */
final class ReadAloudTest extends BrowserTestCase
{
    use ReadsTree;

    private const ACTS = ['link', 'button', 'textbox', 'searchbox', 'checkbox', 'radio', 'combobox', 'slider', 'switch', 'spinbutton', 'menuitem', 'tab'];

    private const LANDMARKS = ['banner', 'main', 'navigation', 'complementary', 'contentinfo', 'region', 'form', 'search'];

    /**
     * @return array<string, array{string, string, string, list<string>}> who looks, where, what is waited for, and some of what is said, in
     *                                                                    this order
     */
    public static function pages(): array
    {
        return [
            'the front' => ['', '/', '.card', ['link To what is on this page', 'banner', 'link Alder & Tide', 'link Sign in', 'main', 'heading 1 Boats by hand, an evening at a time', 'link All courses', 'link Hull', 'heading 2 Clinker planking', 'link Clinker planking', 'link Have a look first : Clinker planking', 'heading 2 Steam-bent frames', 'contentinfo', 'button English', 'button Norsk']],
            'a course for visitors' => ['', '/courses/clinker', '.plan', ['heading 1 Clinker planking', 'table Outline of Clinker planking', 'columnheader When each pass opens what, from the day you join:', 'link Take it : Apprentice pass', 'rowheader Before you pick up a plane 1 lesson, 6 min', 'link Welcome to the shed', 'link Tuning a plane', 'heading 2 What you will be able to do', 'heading 2 About the course', 'link Ask Hege Strand at the school']],
            'a course that is over' => ['', '/courses/petrol', '.closing', ['heading 1 Petrol engines for small boats', 'heading 2 Given now', 'link Winter refit', 'heading 2 Told when it runs again', 'textbox Your name', 'textbox Your e-mail address', 'button Tell me', 'link Ask Hege Strand at the school', 'table Outline of Petrol engines for small boats']],
            'a visitor’s notice' => ['', '/courses/clinker/l-planes', '.notice h1', ['main', 'complementary', 'heading 1 Tuning a plane needs a pass', 'link Sign in', 'link Claim it : Yard trial', 'link Buy it, 60 EUR : Tools only', 'link Ask Hege Strand at the school', 'link Welcome to the shed']],
            'a checkout' => ['', '/checkout/tools-only', '.simulated', ['heading 1 Tools only', 'textbox Your name', 'textbox Your e-mail address', 'link Sign in', 'button Buy it for 60 EUR', 'link Back to Clinker planking']],
            'signing in' => ['', '/sign-in', 'input[type=email]', ['main', 'heading 1 Sign in', 'textbox E-mail address', 'textbox Password', 'button Show the password', 'checkbox Keep me signed in on this machine', 'button Sign in', 'button No password? Have a link sent to you']],
            'nothing there' => ['', '/courses/nothing', '.errorpage h1', ['main', 'heading 1 There is nothing here', 'link To the beginning']],
            'my courses' => ['ragna', '/courses', '.mine li', ['link To what is on this page', 'banner', 'link My courses', 'link Ragna Lie', 'button Sign out', 'main', 'heading 1 My courses', 'heading 2 Clinker planking', 'link Clinker planking']],
            'a course' => ['ragna', '/courses/clinker', '.path li', ['heading 1 Clinker planking', 'link Launch day', 'link Start the lesson', 'link Announcements', 'heading 2 Before you pick up a plane', 'image open', 'link Welcome to the shed', 'heading 2 Tools and timber One after the other', 'image locked', 'link Reading grain in oak', 'heading 2 Out of the door', 'image opens later', 'link Launch day', 'link Ask Hege Strand at the school']],
            'a lesson with a film' => ['ragna', '/courses/clinker/l-steam', '.player media-play-button[aria-label]', ['main', 'complementary', 'article', 'heading 1 The steam box', 'region A plank bends', 'button Play', 'button 10 seconds back', 'slider', 'switch', 'button', 'combobox', 'navigation Lessons before and after', 'link The garboard']],
            'a quiz' => ['ragna', '/courses/clinker/l-timber', '.quiz', ['heading 1 Choosing larch', 'region Quiz', 'heading 2 Quiz', 'group Which larch do you want for a plank?', 'radio Fast-grown, with wide rings', 'group What do you look for in a log?', 'checkbox Straight grain', 'button Hand it in', 'link The steam box']],
            'marks' => ['ragna', '/courses/clinker/b-marks', '.marks', ['heading 1 Marks', 'table', 'columnheader Lesson', 'columnheader Finished', 'link Welcome to the shed']],
            'announcements' => ['ragna', '/courses/clinker/b-news', '.lesson h1', ['heading 1 Announcements']],
            'what waits for a day' => ['ragna', '/courses/clinker/l-launch', '.notice h1', ['heading 1 Launch day is not open yet', 'link Ask Hege Strand at the school', 'link The steam box']],
            'what is not in a pass' => ['ragna', '/courses/clinker/l-advanced', '.notice h1', ['heading 1 Reading grain in oak is not in your pass', 'link Buy it, 390 EUR : Journeyman pass']],
            'a pass that has ended' => ['nina', '/courses/clinker/l-planes', '.notice h1', ['heading 1 Your pass has ended', 'link Buy it, 60 EUR : Tools only']],
            'a discussion' => ['ask', '/courses/steam-frames/b-bench', '.posts', ['heading 1 Round the bench', 'region What was said', 'button Answer: Ask Vollan, *', 'button Take back', 'textbox Say something', 'button Post it']],
            'a calendar' => ['embla', '/courses/winter-refit/b-dates', '.dates', ['heading 1 My dates', 'heading 2 In your own calendar']],
            'an account' => ['ragna', '/account', 'main h1', ['heading 1 Your account', 'heading 2 Change your password', 'textbox The one you have now', 'button Show the password', 'button Change it', 'heading 2 Letters to you', 'checkbox A pass of yours begins', 'heading 2 Language', 'radio Norsk', 'heading 2 Where you are signed in', 'button Sign out everywhere else']],
        ];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('pages')]
    public function test_a_page_is_read_in_order_and_all_of_it_has_a_name(string $who, string $path, string $waitFor, array $expected): void
    {
        if ($who !== '') {
            $this->signIn($who);
        }
        $this->visit($path);
        $this->find($waitFor);
        $tree = $this->readTree();
        $spoken = self::spoken($tree);

        $rest = $spoken;
        foreach ($expected as $one) {
            $at = self::first($rest, static fn (string $said): bool => $said === $one || (! str_contains($one, ' ') && str_starts_with($said, $one)) || (str_ends_with($one, '*') && str_starts_with($said, substr($one, 0, -1))));
            self::assertNotNull($at, "“{$one}” is not read where it should be. What is read:\n".implode("\n", $spoken));
            $rest = array_slice($rest, (int) $at + 1);
        }
        $nameless = array_filter($tree, static fn (array $one): bool => (in_array($one['role'], self::ACTS, true) || $one['role'] === 'heading' || $one['role'] === 'image' || $one['role'] === 'table') && $one['name'] === '');
        self::assertSame([], array_column($nameless, 'role'), 'Some of it has no name.');
        self::assertCount(1, array_filter($tree, static fn (array $one): bool => $one['role'] === 'main'), 'There is one main part.');
        $levels = array_values(array_filter(array_map(static fn (array $one): ?int => $one['role'] === 'heading' ? $one['level'] : null, $tree)));
        self::assertSame(1, count(array_keys($levels, 1, true)), 'There is one heading of the page.');
        foreach ($levels as $index => $level) {
            self::assertLessThanOrEqual(($levels[$index - 1] ?? $level) + 1, $level, 'No level of headings is passed over.');
        }
        self::assertSame([], self::twice($tree), 'Parts of the same kind are told apart by their names.');
    }

    /**
     * @param  list<array{role: string, name: string, level: ?int}>  $tree
     * @return list<string> landmarks of one kind with one name
     */
    private static function twice(array $tree): array
    {
        $names = array_map(static fn (array $one): string => trim("{$one['role']} {$one['name']}"), array_filter($tree, static fn (array $one): bool => in_array($one['role'], self::LANDMARKS, true)));

        return array_keys(array_filter(array_count_values($names), static fn (int $count): bool => $count > 1));
    }

    /**
     * @param  list<string>  $among
     * @param  \Closure(string): bool  $is
     */
    private static function first(array $among, \Closure $is): ?int
    {
        foreach ($among as $at => $one) {
            if ($is($one)) {
                return $at;
            }
        }

        return null;
    }
}
