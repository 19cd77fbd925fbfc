<?php

declare(strict_types=1);

namespace App\Http\Plain;

use App\Models\Role;
use App\Words\Say;

/** What the frame of the administrator's side says before its scripts are there: the places, and the page's heading where its props tell it. */
final class KeepFrame
{
    /** Pages by the words that head them. */
    private const HEADINGS = [
        'keep/Courses' => 'courses.courses.courses', 'keep/People' => 'keep.people', 'keep/BringIn' => 'imports.bring_in.bring_people_in', 'keep/Offers' => 'keep.offers',
        'keep/SharedNotices' => 'notices.shared.title', 'keep/Letters' => 'notices.letters.title', 'keep/Outbox' => 'outbox.title', 'keep/School' => 'school.school.school',
    ];

    private function __construct()
    {
    }

    /**
     * @param  ?string  $role  of whoever looks
     * @return array<string, string> words by the name of the route
     */
    public static function places(?string $role): array
    {
        return array_map(Say::text(...), $role === Role::Editor->value ? ['keep.today' => 'keep.keep_shell.today', 'keep.courses' => 'keep.keep_shell.courses'] : [
            'keep.today' => 'keep.keep_shell.today', 'keep.courses' => 'keep.keep_shell.courses', 'keep.people.list' => 'keep.people', 'keep.offers' => 'keep.offers', 'keep.notices' => 'keep.keep_shell.notices', 'keep.triggers' => 'keep.keep_shell.triggers',
            ...($role === Role::Administrator->value ? ['keep.outbox' => 'keep.keep_shell.outbox'] : []), 'keep.school' => 'keep.keep_shell.school',
        ]);
    }

    /**
     * @param  string  $component  as Inertia names it
     * @param  array<array-key, mixed>  $props
     * @return ?string null: it is told by the page itself
     */
    public static function heading(string $component, array $props): ?string
    {
        $course = is_array($props['course'] ?? null) ? $props['course']['title'] ?? null : null;
        $told = $component === 'keep/Workspace' ? $course : (in_array($component, ['keep/Person', 'keep/Import'], true) ? $props['name'] ?? null : null);

        return isset(self::HEADINGS[$component]) ? Say::text(self::HEADINGS[$component]) : (is_string($told) ? $told : null);
    }
}
