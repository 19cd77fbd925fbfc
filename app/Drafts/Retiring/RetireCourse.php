<?php

declare(strict_types=1);

namespace App\Drafts\Retiring;

use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/**
 * Retires a course: its state, whether present learners keep it, the end of its season, and its doors. Offers stay as they
 * are: nothing is sold of a course that is retired, and they are there again when it is reopened.
 */
final readonly class RetireCourse implements Edit
{
    /**
     * @param  ?string  $lastDay  YYYY-MM-DD, in the school's zone; for those who keep it to the end of a day
     * @param  bool  $shutGuests  whether the guests' door is shut
     * @param  bool  $shutObservers  likewise
     */
    public function __construct(private LearnersKeep $keep, private ?string $lastDay, private bool $shutGuests, private bool $shutObservers)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $course = $document->edit();
        $course->set('state', 'retired');
        $keeps = $this->keep !== LearnersKeep::Nothing;
        if ($document->read()->keepAfterRetiring() !== $keeps) {
            $course->set('keep_after_retiring', $keeps);
        }
        // The season's end would end it for those who keep it, too.
        $course->set('closes', $this->keep === LearnersKeep::Day && $this->lastDay !== null ? self::dayAfter($this->lastDay) : null);
        if ($this->shutGuests) {
            $course->shut('guest_door');
        }
        if ($this->shutObservers) {
            $course->shut('observer_door');
        }
    }

    public function toArray(): array
    {
        return ['set' => 'retired', 'keep' => $this->keep->value, 'last_day' => $this->lastDay, 'shut_guests' => $this->shutGuests, 'shut_observers' => $this->shutObservers];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }

    private static function dayAfter(string $day): string
    {
        return (new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->modify('+1 day')->format('Y-m-d').'T00:00';
    }
}
