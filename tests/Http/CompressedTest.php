<?php

declare(strict_types=1);

namespace Tests\Http;

use Tests\TestCase;

final class CompressedTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_pages_come_compressed_to_whoever_takes_them_so(): void
    {
        $plain = $this->get('/courses/clinker')->assertOk();
        self::assertFalse($plain->headers->has('Content-Encoding'));
        $small = $this->get('/courses/clinker', ['Accept-Encoding' => 'gzip, deflate, br'])->assertOk()->assertHeader('Content-Encoding', 'gzip');
        self::assertContains('Accept-Encoding', $small->baseResponse->getVary());
        $content = (string) $small->getContent();
        self::assertSame((string) strlen($content), $small->headers->get('Content-Length'));
        self::assertLessThan(strlen((string) $plain->getContent()) / 3, strlen($content));
        self::assertStringContainsString('Clinker planking', (string) gzdecode($content));
    }

    public function test_what_is_small_or_no_text_is_left_as_it_is(): void
    {
        foreach (['/robots.txt', '/share.png'] as $path) {
            self::assertNotSame('gzip', $this->get($path, ['Accept-Encoding' => 'gzip'])->assertOk()->headers->get('Content-Encoding'), $path);
        }
        self::assertFalse($this->get('/', ['Accept-Encoding' => 'br'])->headers->has('Content-Encoding'));
    }

    public function test_what_a_page_sends_on_is_compressed_as_well(): void
    {
        $answer = $this->get('/courses/clinker', ['Accept-Encoding' => 'gzip', 'X-Inertia' => 'true', 'X-Inertia-Version' => $this->version()])->assertOk()->assertHeader('Content-Encoding', 'gzip');
        self::assertSame('learner/Course', json_decode((string) gzdecode((string) $answer->getContent()), true)['component'] ?? null);
    }

    private function version(): string
    {
        preg_match('/"version":"(school-[^"]*)"/', (string) $this->get('/')->getContent(), $found);

        return $found[1] ?? self::fail();
    }
}
