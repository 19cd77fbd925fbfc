<?php

declare(strict_types=1);

namespace App\Notices;

use App\Access\Plans;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\NoticeText;

/** Finds whoever would be sent from closed door to closed door and back again. */
final readonly class Circles
{
    /** Of doors from which one is sent on; whoever sends people further sends them in circles too. */
    private const MOST = 20;

    public function __construct(private NoticeTexts $texts, private Plans $plans)
    {
    }

    /**
     * Whether an address, in words for this place, leads to a door at which the same words would stand, at once or by way of others.
     * A door that stands open to everybody ends the way, and so does whatever is no door of this school.
     */
    public function leadBack(NoticePlace $place, NoticeCase $case, string $address, int $now): bool
    {
        $new = new NoticeText(['scope' => $place->scope(), 'case' => $case->value, 'way' => 'address', 'address' => $address]);
        for ($step = 0; $step < self::MOST; $step++) {
            $door = $this->doorAt($address, $now);
            if ($door === null) {
                return false;
            }
            [$course, $path] = $door;
            $standing = $this->texts->at($course, $path, $place->offer === null ? [] : [$place->offer], $case, NoticeTexts::with($this->texts->within($course), $new))[0]->text ?? null;
            if ($standing === $new) {
                return true;
            }
            if ($standing === null || $standing->way !== 'address' || $standing->address === null) {
                return false;
            }
            $address = $standing->address;
        }

        return true;
    }

    /** @return ?array{Course, list<string>} the closed door at an address of ours, with the keys from it upwards */
    private function doorAt(string $address, int $now): ?array
    {
        if (preg_match('~^/courses/([^/?#]+)/([^/?#]+)~', $address, $found) !== 1) {
            return null;
        }
        $course = Course::foundAt(rawurldecode($found[1]));
        $decider = $course === null ? null : $this->plans->live($course);
        $position = $decider?->course->outline->positionOf(rawurldecode($found[2]));
        if ($course === null || $decider === null || $position === null || $decider->snapshot(Viewers::visitor(), $now)->standings[$position]->isOpen()) {
            return null;
        }

        return [$course, $decider->course->outline->keysUp($position)];
    }
}
