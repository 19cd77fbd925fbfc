<?php

declare(strict_types=1);

namespace App\Cartridges;

/** One entry of the outline of a cartridge. */
final readonly class CartridgeItem
{
    /**
     * @param  'module'|'lesson'|'board'  $kind
     * @param  ?string  $link  address that it leads to
     * @param  list<string>  $files  names within the cartridge of what it holds
     * @param  list<self>  $items
     */
    public function __construct(public string $title, public string $kind, public ?string $link = null, public array $files = [], public array $items = [])
    {
    }
}
