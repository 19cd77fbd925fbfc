<?php

declare(strict_types=1);

namespace App\Notices\Parts;

use App\Models\NoticeText;
use OpenApi\Attributes as OA;

/** One part of a notice, as it is kept. */
#[OA\Schema]
final readonly class Part
{
    /**
     * @param  string  $text  of a heading, a text or a button, with placeholders
     * @param  ?string  $does  of a button
     * @param  string  $to  where a button leads; which picture
     */
    public function __construct(
        #[OA\Property(enum: PartKind::class)] public string $kind,
        #[OA\Property] public string $text = '',
        #[OA\Property(enum: ButtonDoes::class)] public ?string $does = null,
        #[OA\Property] public string $to = '',
    ) {
    }

    public function kind(): PartKind
    {
        return PartKind::from($this->kind);
    }

    /** @return non-empty-list<self> */
    public static function usual(): array
    {
        return array_map(static fn (PartKind $kind): self => new self($kind->value), PartKind::USUAL);
    }

    /**
     * Those of a notice, or the usual ones. What cannot be read is left out.
     *
     * @return list<self>
     */
    public static function of(?NoticeText $notice): array
    {
        $kept = json_decode($notice->parts ?? '', true);
        if (! is_array($kept)) {
            return self::usual();
        }
        $parts = [];
        foreach ($kept as $one) {
            $kind = is_array($one) && is_string($one['kind'] ?? null) ? PartKind::tryFrom($one['kind']) : null;
            if ($kind !== null) {
                $text = static fn (string $name): string => is_string($one[$name] ?? null) ? $one[$name] : '';
                $parts[] = new self($kind->value, $text('text'), ButtonDoes::tryFrom($text('does'))?->value, $text('to'));
            }
        }

        return $parts;
    }

    /**
     * To be kept; null where they are the usual ones.
     *
     * @param  list<self>  $parts
     */
    public static function toJson(array $parts): ?string
    {
        $json = json_encode(array_map(static fn (self $part): array => array_filter(get_object_vars($part), static fn (mixed $value): bool => $value !== null && $value !== ''), $parts), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return $json === self::usualJson() ? null : $json;
    }

    private static function usualJson(): string
    {
        return json_encode(array_map(static fn (PartKind $kind): array => ['kind' => $kind->value], PartKind::USUAL), JSON_THROW_ON_ERROR);
    }
}
