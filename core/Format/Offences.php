<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

/** Gathers what is wrong while a document is read. */
final class Offences
{
    /** A document that is nonsense throughout need not be told of every line. */
    private const MOST = 1000;

    /** @var list<Offence> */
    private array $found = [];

    public function add(string $pointer, string $message): void
    {
        if (count($this->found) < self::MOST) {
            $this->found[] = new Offence($pointer, $message);
        } elseif (count($this->found) === self::MOST) {
            $this->found[] = new Offence('', 'there is more that is wrong; only the first '.self::MOST.' offences are listed');
        }
    }

    /** @return list<Offence> */
    public function all(): array
    {
        return $this->found;
    }
}
