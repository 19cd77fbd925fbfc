<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/**
 * The two faces of the program. Each has scripts and styles of its own: what learners fetch is a fraction of what those who run the
 * school do. Whoever goes from one to the other fetches the page anew, for the versions of the two differ.
 */
enum Side: string
{
    case Keep = 'keep';
    case School = 'school';

    public static function of(Request $request): self
    {
        $route = (string) $request->route()?->getName();

        return match (true) {
            // What stands in the frame of a stand-in is a learner's page.
            $route === 'keep.stand-in.view' => self::School,
            str_starts_with($route, 'keep.'), in_array($route, ['interface', 'begin'], true) => self::Keep,
            // No route at all: what is not there, or not for them.
            default => $route === '' && $request->is('keep', 'keep/*') ? self::Keep : self::School,
        };
    }

    /** What the page loads, as Vite knows it. */
    public function script(): string
    {
        return $this === self::Keep ? 'resources/js/keep.ts' : 'resources/js/school.ts';
    }
}
