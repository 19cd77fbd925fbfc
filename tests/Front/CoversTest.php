<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Front\Drawing;
use App\Front\DrawnCover;
use App\Models\CourseFace;
use App\Models\Picture;
use DOMDocument;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class CoversTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @return iterable<string, array{Drawing}> */
    public static function drawings(): iterable
    {
        foreach (Drawing::cases() as $drawing) {
            yield $drawing->value => [$drawing];
        }
    }

    #[DataProvider('drawings')]
    public function test_every_variant_of_a_drawing_is_a_picture_of_its_own_tones(Drawing $drawing): void
    {
        $seen = [];
        for ($variant = 0; $variant < DrawnCover::VARIANTS; $variant++) {
            $svg = (new DrawnCover($drawing, $variant))->svg();
            $document = new DOMDocument;
            self::assertTrue($document->loadXML($svg), $svg);
            self::assertGreaterThan(3, $document->documentElement?->childNodes->length);
            [$colour] = (new DrawnCover($drawing, $variant))->tone()->light();
            self::assertStringContainsString($colour, $svg);
            self::assertContains((new DrawnCover($drawing, $variant))->tone(), $drawing->tones());
            $seen[hash('xxh128', $svg)] = true;
        }
        self::assertGreaterThan(10, count($seen), 'Two courses of one drawing look alike too often.');
    }

    public function test_a_course_has_the_same_cover_for_as_long_as_it_has_its_key(): void
    {
        self::assertEquals(DrawnCover::of('clinker', ''), DrawnCover::of('clinker', ''));
        self::assertSame(Drawing::Waves, DrawnCover::of('clinker', 'waves')->drawing);
        self::assertSame(Drawing::ofKey('clinker'), DrawnCover::of('clinker', 'something else')->drawing);
        $drawn = array_map(static fn (int $number): string => DrawnCover::of("course-{$number}", '')->drawing->value, range(1, 60));
        self::assertCount(count(Drawing::cases()), array_unique($drawn));
    }

    public function test_an_address_says_what_is_drawn_and_not_for_whom(): void
    {
        $this->get('/covers/planks-3.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->assertHeader('Cache-Control', 'immutable, max-age=31536000, public');
        self::assertStringContainsString('sandbox', (string) $this->get('/covers/planks-3.svg')->headers->get('Content-Security-Policy'));
        foreach (['/covers/planks-16.svg', '/covers/planks-99.svg', '/covers/nothing-1.svg', '/covers/planks--1.svg', '/covers/clinker.svg'] as $nothing) {
            $this->get($nothing)->assertNotFound();
        }
    }

    public function test_a_picture_is_cut_around_what_is_to_be_kept_in_view(): void
    {
        Picture::query()->create(['token' => str_repeat('p', 24), 'title' => 'The slip at low water', 'width' => 960, 'height' => 640, 'widths' => [480, 960], 'bytes' => 1, 'made_at' => now()]);
        CourseFace::query()->whereKey($this->course('clinker')->id)->update(['cover' => str_repeat('p', 24), 'focus_x' => 20, 'focus_y' => 75]);
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('face.cover.focus', '20% 75%')->where('face.cover.alt', 'The slip at low water')
            ->where('face.cover.sources', fn (string $sources): bool => str_contains($sources, '480w') && str_contains($sources, '960w')));
        // One that is there no more leaves its course with the drawn one.
        Picture::query()->delete();
        $this->get('/courses/clinker')->assertInertia(fn (Page $page) => $page->where('face.cover.address', fn (string $address): bool => str_starts_with($address, '/covers/planks-')));
    }
}
