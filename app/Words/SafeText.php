<?php

declare(strict_types=1);

namespace App\Words;

use League\CommonMark\CommonMarkConverter;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/** Markdown as HTML that cannot do anything: no scripts, no styles, nothing from elsewhere but links. */
final class SafeText
{
    /** All that Markdown makes, with what it may say of each. Pictures are media of the lesson; one from elsewhere would tell others who reads it. */
    private const ELEMENTS = [
        'p' => [], 'br' => [], 'hr' => [], 'h1' => [], 'h2' => [], 'h3' => [], 'h4' => [], 'h5' => [], 'h6' => [], 'strong' => [], 'em' => [],
        'a' => ['href', 'title'], 'ul' => [], 'ol' => ['start'], 'li' => [], 'blockquote' => [], 'pre' => [], 'code' => [],
    ];

    private static ?CommonMarkConverter $converter = null;

    private static ?HtmlSanitizer $sanitizer = null;

    public static function html(string $markdown): string
    {
        if (trim($markdown) === '') {
            return '';
        }
        self::$converter ??= new CommonMarkConverter(['html_input' => 'strip', 'allow_unsafe_links' => false, 'max_nesting_level' => 50]);
        self::$sanitizer ??= self::sanitizer();

        return self::$sanitizer->sanitize(self::$converter->convert($markdown)->getContent());
    }

    private static function sanitizer(): HtmlSanitizer
    {
        // Each call makes another one with everything in it: so the few there are are named, where allowing all that is safe names more than a hundred.
        $config = (new HtmlSanitizerConfig)->allowLinkSchemes(['https', 'http', 'mailto'])->allowRelativeLinks()->forceAttribute('a', 'rel', 'noopener noreferrer')->withMaxInputLength(-1);
        foreach (self::ELEMENTS as $element => $attributes) {
            $config = $config->allowElement($element, $attributes);
        }

        return new HtmlSanitizer($config);
    }

    /** A name or title that means nothing in Markdown. */
    public static function escape(string $text): string
    {
        return preg_replace('/[!-\/:-@\[-`{-~]/', '\\\\$0', preg_replace('/\s+/u', ' ', $text) ?? $text) ?? $text;
    }
}
