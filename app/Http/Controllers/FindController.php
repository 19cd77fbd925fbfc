<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\SchoolAddress;
use App\Access\SchoolOf;
use App\Front\ShareCard;
use App\Http\ServedFile;
use App\Models\Course;
use App\Pages\Learner\Shared\PublicPages;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as Answer;
use XMLWriter;

/** What lets the school be found, and shown where somebody links to it. */
final readonly class FindController
{
    /** Seconds for which others may keep it. */
    private const KEPT = 3600;

    private const NOT_FOR_SEARCH = ['/keep', '/api', '/checkout', '/account', '/sign-in', '/calendar', '/g/'];

    public function __construct(private PublicPages $public, private SchoolOf $school, private ShareCard $cards)
    {
    }

    public function sitemap(): Response
    {
        $list = new XMLWriter;
        $list->openMemory();
        $list->startDocument('1.0', 'UTF-8');
        $list->startElementNs(null, 'urlset', 'http://www.sitemaps.org/schemas/sitemap/0.9');
        foreach ($this->public->addresses() as $address) {
            $list->startElement('url');
            $list->writeElement('loc', $address);
            $list->endElement();
        }
        $list->endElement();

        return new Response($list->outputMemory(), 200, $this->headers('application/xml'));
    }

    public function robots(): Response
    {
        $lines = ['User-agent: *', ...array_map(static fn (string $path): string => "Disallow: {$path}", self::NOT_FOR_SEARCH), '', 'Sitemap: '.SchoolAddress::of('sitemap', []), ''];

        return new Response(implode("\n", $lines), 200, $this->headers('text/plain'));
    }

    /** As it stands on a reader's own machine, where they keep it there. */
    public function manifest(): JsonResponse
    {
        $name = ($this->school)()->name;

        return new JsonResponse([
            'name' => $name, 'short_name' => mb_substr($name, 0, 12), 'start_url' => '/courses', 'scope' => '/', 'display' => 'minimal-ui', 'background_color' => '#F6F4EE', 'theme_color' => '#FFFFFF',
            'icons' => [['src' => '/mark.svg', 'type' => 'image/svg+xml', 'sizes' => 'any']],
        ], 200, $this->headers('application/manifest+json'), JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    public function card(Request $request): Answer
    {
        $school = ($this->school)();

        return $this->picture($request, $school->front_title === '' ? $school->name : $school->front_title);
    }

    /** Of a course that nobody is to find there is none, whether it is there or not. */
    public function courseCard(Request $request, Course $course): Answer
    {
        return $this->picture($request, $this->public->titleOf($course) ?? abort(404));
    }

    private function picture(Request $request, string $title): Answer
    {
        return ServedFile::answer($request, $this->cards->file($title, ($this->school)()->name), $this->headers('image/png'));
    }

    /** @return array<string, string> */
    private function headers(string $type): array
    {
        return ['Content-Type' => $type, 'Cache-Control' => 'public, max-age='.self::KEPT];
    }
}
