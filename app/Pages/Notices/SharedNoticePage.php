<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\Parts\Part;
use OpenApi\Attributes as OA;

/** One notice that many doors share, with what is drafted of it. */
#[OA\Schema]
final readonly class SharedNoticePage
{
    /**
     * @param  list<Part>  $parts
     * @param  bool  $isLive  published: it can stand at doors
     * @param  bool  $isDrafted  what is shown here is not published
     * @param  ?string  $published  when, in words
     * @param  list<SharedPlaceRow>  $places  at which it stands
     * @param  list<SharedPlaceRow>  $doors  at which it was met in the last thirty days, the most often first
     * @param  int  $more  doors beside those
     * @param  int  $met  how often in all
     * @param  int  $courses  in how many it stands
     * @param  list<PlaceholderRow>  $placeholders
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public int $version,
        #[OA\Property] public string $heading,
        #[OA\Property] public bool $titled,
        #[OA\Property] public string $text,
        #[OA\Property(items: new OA\Items(ref: Part::class))] public array $parts,
        #[OA\Property] public bool $isLive,
        #[OA\Property] public bool $isDrafted,
        #[OA\Property] public ?string $published,
        #[OA\Property(items: new OA\Items(ref: SharedPlaceRow::class))] public array $places,
        #[OA\Property(items: new OA\Items(ref: SharedPlaceRow::class))] public array $doors,
        #[OA\Property] public int $more,
        #[OA\Property] public int $met,
        #[OA\Property] public int $courses,
        #[OA\Property(items: new OA\Items(ref: PlaceholderRow::class))] public array $placeholders,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
