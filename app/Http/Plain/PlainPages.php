<?php

declare(strict_types=1);

namespace App\Http\Plain;

use Illuminate\Contracts\View\Factory;
use Inertia\Ssr\Gateway;
use Inertia\Ssr\Response;

/**
 * Writes the pages of the school's side a first time without their scripts: text stands there as soon as the page has come, and
 * reading, signing in and buying go without scripts at all. Made of the same props, so nothing can be in it that the page is not sent;
 * the scripts put their page in its place. It needs no process of its own.
 */
final readonly class PlainPages implements Gateway
{
    /**
     * Whether all that can be done there goes without scripts: what is only read need not fetch them.
     *
     * @param  array<array-key, mixed>  $props
     */
    public static function rests(string $component, array $props): bool
    {
        $closing = is_array($props['closing'] ?? null) ? $props['closing'] : [];
        // What has just been done is told by the scripts, and aloud.
        $quiet = ($props['flash'] ?? null) === null && ! isset($props['standIn']);

        return $quiet && match ($component) {
            'learner/Front' => true,
            'learner/Course' => ($props['inside'] ?? true) === false && ($closing['signUp'] ?? 'none') === 'none' && ($props['signedIn'] ?? null) === null,
            'learner/Notice' => ($props['case'] ?? '') !== 'account' && ($props['signUp'] ?? 'none') === 'none' && ($props['signedIn'] ?? null) === null,
            default => false,
        };
    }

    /**
     * Seconds until the page is another by time alone; empty: not soon.
     *
     * @param  array<array-key, mixed>  $props
     */
    private static function turnsIn(array $props): string
    {
        $seconds = is_array($props['course'] ?? null) ? $props['course']['turnsIn'] ?? null : null;

        return is_int($seconds) ? (string) ($seconds + 1) : '';
    }

    public function __construct(private Factory $views)
    {
    }

    /** @param  array<array-key, mixed>  $page */
    public function dispatch(array $page): Response
    {
        $component = is_string($page['component'] ?? null) ? $page['component'] : '';
        // Of the administrator's pages the frame alone goes before: they are nothing without scripts.
        $view = str_starts_with($component, 'keep/') ? 'plain.keep' : 'plain.'.str_replace('/', '.', $component);
        $json = json_encode($page, JSON_HEX_TAG | JSON_THROW_ON_ERROR);
        $decoded = json_decode($json, associative: true, flags: JSON_THROW_ON_ERROR);
        $props = is_array($decoded) ? $decoded['props'] ?? [] : [];
        // A stand-in is for those who run the school; they have scripts.
        $plain = $this->views->exists($view) && is_array($props) && ! isset($props['standIn']) ? $this->views->make($view, ['p' => $props, 'component' => $component])->render() : '';

        return new Response('', $this->views->make('plain.root', ['json' => $json, 'plain' => $plain, 'turns' => $plain !== '' && self::rests($component, $props) ? self::turnsIn($props) : null, 'wakes' => is_array($props) && ($props['signedIn'] ?? null) !== null])->render());
    }
}
