<?php

declare(strict_types=1);

namespace App\Keep;

use App\Models\Content;
use App\Models\Course;
use League\CommonMark\CommonMarkConverter;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/** What a lesson says. Asks for the decision, so that nobody can read a closed one by oversight. */
final class LessonText
{
    /** @throws \LogicException if the item is not open */
    public function html(Course $course, Decision $decision): string
    {
        if ($decision->state !== State::Open) {
            throw new \LogicException('The text of a closed item was asked for.');
        }
        $content = Content::query()->where('course_id', $course->id)->where('item_key', $decision->item)->first();

        return $content === null ? '' : self::safe($content->text);
    }

    private static function safe(string $markdown): string
    {
        $html = (new CommonMarkConverter(['html_input' => 'strip', 'allow_unsafe_links' => false]))->convert($markdown)->getContent();
        $config = (new HtmlSanitizerConfig)->allowSafeElements()->allowLinkSchemes(['https', 'http', 'mailto'])->forceAttribute('a', 'rel', 'noopener noreferrer');

        return (new HtmlSanitizer($config))->sanitize($html);
    }
}
