<?php

declare(strict_types=1);

namespace Tests\Console;

use PHPUnit\Framework\TestCase;
use Tests\SchoolServer;

/** What PHP's own server sends of what was built: compressed, kept for good, and not sent again to whoever has it. */
final class BuiltFilesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../public';

    private static SchoolServer $school;

    private static string $server;

    public static function setUpBeforeClass(): void
    {
        self::$school = new SchoolServer;
        self::$school->start();
        self::$server = self::$school->address();
    }

    public static function tearDownAfterClass(): void
    {
        self::$school->stop();
    }

    public function test_they_come_compressed_as_they_are_taken(): void
    {
        foreach (self::files() as $path) {
            $whole = (string) file_get_contents(self::ROOT.$path);
            [$status, $headers, $body] = self::asked($path);
            self::assertSame([200, $whole], [$status, $body]);
            self::assertArrayNotHasKey('content-encoding', $headers);
            foreach (['gzip' => 'gz', 'br' => 'br'] as $coding => $ending) {
                [$status, $headers, $body] = self::asked($path, ["Accept-Encoding: {$coding}"]);
                self::assertSame([200, $coding, (string) strlen($body)], [$status, $headers['content-encoding'], $headers['content-length']]);
                self::assertStringEqualsFile(self::ROOT.$path.'.'.$ending, $body);
                self::assertLessThan(strlen($whole), strlen($body));
            }
            self::assertSame($whole, gzdecode(self::asked($path, ['Accept-Encoding: gzip'])[2]));
        }
    }

    public function test_they_are_kept_for_good_and_not_sent_again(): void
    {
        foreach (self::files() as $path) {
            [, $plain] = self::asked($path);
            [, $small] = self::asked($path, ['Accept-Encoding: gzip']);
            self::assertSame('public, max-age=31536000, immutable', $plain['cache-control']);
            self::assertSame('Accept-Encoding', $plain['vary']);
            self::assertNotSame($plain['etag'], $small['etag'], 'Other bytes have another tag.');

            foreach ([$plain['etag'], 'W/'.$plain['etag'], "\"another\", {$plain['etag']}"] as $had) {
                [$status, $headers, $body] = self::asked($path, ["If-None-Match: {$had}"]);
                self::assertSame([304, '', $plain['etag']], [$status, $body, $headers['etag']]);
            }
            self::assertSame(200, self::asked($path, ["If-None-Match: {$small['etag']}"])[0]);
        }
    }

    /** The most that the front sends before anybody turns to something, uncompressed: 60 kB of styles and 150 kB of scripts. */
    public function test_the_front_is_light_and_asks_for_its_fonts_at_once(): void
    {
        $page = self::asked('/')[2];
        $weigh = static fn (string $named): int => array_sum(array_map(static fn (string $path): int => strlen(self::asked($path)[2]), self::named($page, $named)));
        self::assertGreaterThan(20_000, $weigh('rel="stylesheet"'));
        self::assertLessThan(60_000, $weigh('rel="stylesheet"'));
        self::assertGreaterThan(500, $weigh('rel="modulepreload"|<script'));
        self::assertLessThan(150_000, $weigh('rel="modulepreload"|<script'));

        $styles = implode('', array_map(static fn (string $path): string => self::asked($path)[2], self::named($page, 'rel="stylesheet"')));
        $fonts = self::named($page, 'as="font"');
        self::assertCount(2, $fonts);
        foreach ($fonts as $font) {
            self::assertStringContainsString(basename($font), $styles);
            self::assertLessThan(25_000, strlen(self::asked($font)[2]));
        }
    }

    /** @return list<string> the built files that a page names in tags which match */
    private static function named(string $page, string $pattern): array
    {
        preg_match_all('#<(?:link|script)\b[^>]*>#', $page, $tags);
        $named = array_filter($tags[0], static fn (string $tag): bool => preg_match("~{$pattern}~", $tag) === 1);

        return array_values(array_unique(array_filter(array_map(static fn (string $tag): string => preg_match('#/build/assets/[^"]+#', $tag, $found) === 1 ? $found[0] : '', $named))));
    }

    public function test_what_is_not_there_is_no_file_of_these(): void
    {
        foreach (['/build/assets/none.js', '/build/assets/../../index.php', '/build/assets/%2e%2e/%2e%2e/index.php', '/build/assets/'] as $path) {
            self::assertNotSame('public, max-age=31536000, immutable', self::asked($path)[1]['cache-control'] ?? '');
        }
    }

    /** @return list<string> the largest script and the largest styles */
    private static function files(): array
    {
        return array_map(static function (string $ending): string {
            $files = glob(self::ROOT."/build/assets/*.{$ending}") ?: self::fail('Nothing is built: bin/setup does that.');
            usort($files, static fn (string $a, string $b): int => filesize($b) <=> filesize($a));

            return '/build/assets/'.basename($files[0]);
        }, ['js', 'css']);
    }

    /**
     * @param  list<string>  $headers
     * @return array{int, array<string, string>, string} status, headers by name in small letters, body
     */
    private static function asked(string $path, array $headers = []): array
    {
        $context = stream_context_create(['http' => ['header' => $headers, 'ignore_errors' => true, 'timeout' => 60]]);
        $body = (string) file_get_contents(self::$server.$path, context: $context);
        $told = [];
        foreach ($http_response_header as $line) {
            [$name, $value] = [...explode(': ', $line, 2), ''];
            $told[strtolower($name)] = $value;
        }

        return [(int) substr($http_response_header[0], 9, 3), $told, $body];
    }
}
