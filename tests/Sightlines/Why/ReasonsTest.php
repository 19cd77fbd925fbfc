<?php

declare(strict_types=1);

namespace Tests\Sightlines\Why;

use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\TestCase;

/** Every reason has its sentence, with the right names and dates, and what would open it. */
final class ReasonsTest extends TestCase
{
    use AsksWhy;

    /**
     * @param  array<string, mixed>  $rules  course, item, plan and offer, where they are not as usual
     * @param  list<string>  $shut
     * @param  list<string>  $ways
     */
    #[DataProvider('reasons')]
    public function test_a_reason_is_told_with_what_would_open_it(string $code, Viewer $viewer, array $rules, array $shut, array $ways, bool $guests = true): void
    {
        $this->school($guests);
        $cell = $this->cell($viewer, ...$rules);

        self::assertContains($code, self::codes($cell));
        self::assertSame(['shut' => $shut, 'ways' => $ways], ['shut' => self::shut($cell), 'ways' => self::ways($cell)]);
    }

    public function test_no_reason_is_left_out(): void
    {
        self::assertEqualsCanonicalizing(array_column(Reason::cases(), 'value'), array_values(array_unique(array_column(self::reasons(), 0))));
    }

    /** @return array<string, array{0: string, 1: Viewer, 2: array<string, mixed>, 3: list<string>, 4: list<string>, 5?: bool}> */
    public static function reasons(): array
    {
        $member = new Viewer(signedIn: true);
        $guest = new Viewer(guest: true);
        $observer = new Viewer(signedIn: true, observes: self::holder());
        $lapsed = static fn (PassState $state, string $from, int $until = Instant::NEVER): Viewer => new Viewer(signedIn: true, passes: [new Pass('basic', Instant::parse($from), $until, $state)]);
        $open = ['observer_door' => ['open' => true, 'default' => true]];

        return [
            'a course in draft' => ['course_draft', self::holder(), ['course' => ['state' => 'draft']], [
                'Course: The course is a draft: only staff see it. [Season and state]',
            ], [
                'Another rule: The course goes live.',
            ]],
            'a retired course' => ['course_retired', $member, ['course' => ['state' => 'retired']], [
                'Course: The course is retired; only who holds an active pass keeps it. [Season and state]',
                'Entry: The way in is by an offer, and this viewer holds no pass. [Who gets in]',
            ], [
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Other rules, together: The course goes live and Tuning a plane becomes a sample.',
            ]],
            'before the season' => ['course_not_open', self::holder(), ['course' => ['opens' => '2026-03-20T09:00']], [
                'Course: The course opens Fri 20 Mar, 09:00. [Season and state]',
                'Opening: Opens with the course.',
            ], [
                'By itself: On Fri 20 Mar, 09:00, if nothing else is done.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: The season has no beginning.',
            ]],
            'after the season' => ['course_over', self::holder(), ['course' => ['closes' => '2026-03-09T18:00']], [
                'Course: The course closed Mon 9 Mar, 18:00. [Season and state]',
            ], [
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: The season has no end.',
            ]],
            'a draft' => ['draft', self::holder(), ['item' => ['draft' => true]], [
                'Draft: Tuning a plane is a draft: only staff see it. [Show the row]',
            ], [
                'Another rule: Tuning a plane is no draft any more.',
            ]],
            'outside the pass' => ['not_in_pass', self::holder(), ['offer' => ['scope' => ['start']]], [
                'Scope: The pass covers Sweeping up only.',
            ], [
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
            ]],
            'another tier' => ['tier', self::holder(), ['item' => ['tiers' => ['full']]], [
                'Tier: For full passes; this pass carries basic. [Tiers here]',
            ], [
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Tuning a plane is for basic too.',
            ]],
            'a label' => ['not_for_you', self::holder(), ['item' => ['only' => ['label' => 'oars']]], [
                'For whom: Condition: label oars. It does not hold. [Condition here]',
            ], [
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Give them the label oars: It opens at once then.',
                'Another rule: Tuning a plane has no condition.',
            ]],
            'not yet' => ['not_yet', self::holder(), ['plan' => ['tools' => ['opens' => ['rule' => 'after_start', 'days' => 14, 'time' => '09:00']]]], [
                'Opening: Opens Mon 16 Mar, 09:00, with Tools. [Opening here]',
            ], [
                'By itself: On Mon 16 Mar, 09:00, if nothing else is done.',
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Tools opens at once.',
            ]],
            'handed out' => ['held', self::holder(), ['plan' => ['plane' => ['opens' => ['rule' => 'held']]]], [
                'Opening: Only when somebody hands it out. [Opening here]',
            ], [
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Tuning a plane opens at once.',
            ]],
            'closed' => ['closed', self::holder(), ['plan' => ['tools' => ['closes' => ['rule' => 'on', 'at' => '2026-03-09T18:00']]]], [
                'Closing: Closed since Mon 9 Mar, 18:00, with Tools. [Closing here]',
            ], [
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Tools does not close.',
            ]],
            'something first' => ['progress', self::holder(), ['item' => ['after' => ['all' => ['start']]]], [
                'First: Sweeping up is not finished. [Order here]',
            ], [
                'By the learner: Once Sweeping up is finished.',
                'Mark Sweeping up as finished for them: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Nothing comes before Tuning a plane.',
            ]],
            'in order' => ['progress', self::holder(), ['course' => ['in_order' => true]], [
                'First: Sweeping up is not finished. [Order of the course]',
            ], [
                'By the learner: Once Sweeping up is finished.',
                'Mark Sweeping up as finished for them: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: The course opens in any order.',
            ]],
            'something first that never opens' => ['stuck', self::holder(), ['item' => ['after' => ['all' => ['start']]], 'plan' => ['start' => ['opens' => ['rule' => 'held']]]], [
                'First: Sweeping up is not finished, and this pass never lets them finish it. [Order here]',
            ], [
                'Full pass: As soon as what comes first is finished.',
                'Mark Sweeping up as finished for them: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Nothing comes before Tuning a plane.',
            ]],
            'the observer door' => ['observers_shut', $observer, [], [
                'Door: The observer door is shut. [Doors]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Other rules, together: The observer door opens and Tuning a plane lets observers in.',
            ]],
            'no row for observers' => ['observers_not_here', $observer, ['course' => ['observer_door' => ['open' => true]]], [
                'Let in: In this course observers see only rows that are marked for them, and this one is not. [Observers here]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Another rule: Tuning a plane lets observers in.',
            ]],
            'a learner who waits' => ['learner_cannot', $observer, ['course' => $open, 'item' => ['after' => ['all' => ['start']]]], [
                'Learner: They follow their learner, who is not let in here:',
                'First: Sweeping up is not finished. [Order here]',
            ], [
                'By their learner: Once Sweeping up is finished.',
                'Basic pass: As soon as what comes first is finished; ends Thu 18 Jun.',
                'Full pass: As soon as what comes first is finished.',
                'Mark Sweeping up as finished for their learner: It opens at once then.',
                'Hand it to their learner: Opens at once, whatever the gates say.',
                'Another rule: Nothing comes before Tuning a plane.',
            ]],
            'a condition against observers' => ['not_for_you', $observer, ['course' => $open, 'item' => ['only' => ['kind' => 'learner']]], [
                'For whom: Condition: learners only. It does not hold. [Condition here]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Hand it to their learner: Opens at once, whatever the gates say.',
                'Another rule: Tuning a plane has no condition.',
            ]],
            'a withdrawn pass' => ['pass_revoked', $lapsed(PassState::Revoked, '2026-03-02T12:00:00Z'), [], [
                'Pass: Basic pass was withdrawn.',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Give Basic pass back: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
            ]],
            'a paused pass' => ['pass_paused', $lapsed(PassState::Paused, '2026-03-02T12:00:00Z'), [], [
                'Pass: Basic pass is paused.',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Take Basic pass up again: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
            ]],
            'a pass that has ended' => ['pass_ended', $lapsed(PassState::Active, '2026-03-02T12:00:00Z', Instant::parse('2026-03-08T12:00:00Z')), [], [
                'Pass: Basic pass ended Sun 8 Mar, 13:00.',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Extend Basic pass: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
            ]],
            'a pass that has not begun' => ['pass_not_started', $lapsed(PassState::Active, '2026-03-12T12:00:00Z'), [], [
                'Pass: Basic pass begins Thu 12 Mar, 13:00.',
            ], [
                'By itself: On Thu 12 Mar, 13:00, if nothing else is done.',
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Let Basic pass begin now: It opens at once then.',
                'Hand it to one person: Opens at once, whatever the gates say.',
            ]],
            'the guest door' => ['guests_shut', $guest, [], [
                'Door: The guest door is shut. [Doors]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Other rules, together: The guest door opens and Tuning a plane lets guests in.',
            ]],
            'a school without guests' => ['guests_shut', $guest, ['course' => ['guest_door' => ['open' => true, 'default' => true]]], [
                'School: The school lets no guests in at all.',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Let guests into the school: It opens to guests at once then, as all does that lets them in in any course.',
            ], false],
            'a school without guests, and a door that is shut' => ['guests_shut', $guest, [], [
                'School: The school lets no guests in at all.',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
            ], false],
            'no row for guests' => ['guests_not_here', $guest, ['course' => ['guest_door' => ['open' => true]]], [
                'Let in: In this course guests see only rows that are marked for them, and this one is not. [Guests here]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Another rule: Tuning a plane lets guests in.',
            ]],
            'a tier at the guest door' => ['tier', $guest, ['course' => ['guest_door' => ['open' => true, 'default' => true]], 'item' => ['tiers' => ['full']]], [
                'Tier: For some tiers only: guests need leave of their own there. [Tiers here]',
            ], [
                'Full pass: At once.',
                'Another rule: Tuning a plane lets guests in.',
            ]],
            'days that guests do not have' => ['not_yet', $guest, ['course' => ['guest_door' => ['open' => true, 'default' => true]], 'plan' => ['tools' => ['opens' => ['rule' => 'after_start', 'days' => 14]]]], [
                'Opening: Tools: its days are counted from joining, and somebody without a pass has not joined. [Opening here]',
            ], [
                'Full pass: At once.',
                'Basic pass: From Tue 24 Mar, 13:00, if taken now; ends Thu 18 Jun.',
                'Another rule: Tuning a plane lets guests in.',
            ]],
            'a date where all may enter' => ['not_yet', new Viewer, ['course' => ['entry' => 'anyone'], 'plan' => ['tools' => ['opens' => ['rule' => 'on', 'at' => '2026-03-20T09:00']]]], [
                'Opening: Opens Fri 20 Mar, 09:00, with Tools. [Opening here]',
            ], [
                'By itself: On Fri 20 Mar, 09:00, if nothing else is done.',
                'Full pass: At once.',
                'Another rule: Tools opens at once.',
            ]],
            'a sample for those signed in' => ['sample_needs_account', new Viewer, ['course' => ['sample_needs_account' => true], 'item' => ['sample' => true]], [
                'Account: A sample, for those who are signed in. [Who may see samples]',
            ], [
                'By signing in: Whoever is signed in is let in here.',
                'Another rule: Samples need no account.',
            ]],
            'no pass' => ['no_pass', $member, [], [
                'Entry: The way in is by an offer, and this viewer holds no pass. [Who gets in]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Another rule: Tuning a plane becomes a sample.',
            ]],
            'not signed in' => ['not_signed_in', new Viewer, [], [
                'Entry: The way in is by an offer, and a visitor is not signed in. [Who gets in]',
            ], [
                'Basic pass: At once; ends Thu 18 Jun.',
                'Full pass: At once.',
                'Another rule: Tuning a plane becomes a sample.',
            ]],
            'several at once' => ['tier', self::holder(), ['item' => ['tiers' => ['full'], 'only' => ['label' => 'oars'], 'after' => ['all' => ['start']]], 'plan' => ['plane' => ['opens' => ['rule' => 'after_start', 'days' => 30]]]], [
                'Tier: For full passes; this pass carries basic. [Tiers here]',
                'For whom: Condition: label oars. It does not hold. [Condition here]',
                'Opening: Opens Wed 1 Apr, 13:00. [Opening here]',
                'First: Sweeping up is not finished. [Order here]',
            ], [
                'Hand it to one person: Opens at once, whatever the gates say.',
                'Other rules, together: Tuning a plane is for basic too, Tuning a plane has no condition, Tuning a plane opens at once and nothing comes before Tuning a plane.',
            ]],
        ];
    }
}
