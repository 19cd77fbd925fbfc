<?php

declare(strict_types=1);

namespace App\Words;

use League\CommonMark\CommonMarkConverter;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/** Markdown as HTML that cannot do anything: no scripts, no styles, nothing from elsewhere but links. */
final class SafeText
{
    public static function html(string $markdown): string
    {
        if (trim($markdown) === '') {
            return '';
        }
        $html = (new CommonMarkConverter(['html_input' => 'strip', 'allow_unsafe_links' => false, 'max_nesting_level' => 50]))->convert($markdown)->getContent();
        $config = (new HtmlSanitizerConfig)->allowSafeElements()->allowLinkSchemes(['https', 'http', 'mailto'])->allowRelativeLinks()->forceAttribute('a', 'rel', 'noopener noreferrer')
            // Pictures are media of the lesson; one from elsewhere would tell others who reads it.
            ->dropElement('img')->withMaxInputLength(-1);

        return (new HtmlSanitizer($config))->sanitize($html);
    }

    /** A name or title that means nothing in Markdown. */
    public static function escape(string $text): string
    {
        return preg_replace('/[!-\/:-@\[-`{-~]/', '\\\\$0', preg_replace('/\s+/u', ' ', $text) ?? $text) ?? $text;
    }
}
