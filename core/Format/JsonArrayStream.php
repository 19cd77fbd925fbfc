<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

/**
 * Takes a JSON array apart into the texts of its elements, holding no more of it than one element and one
 * block in memory. The elements themselves are not checked: that is for whoever decodes them.
 */
final class JsonArrayStream
{
    private const BLOCK = 1 << 16;

    /** Bytes of one element: far more than any ask needs, and a bound to the memory that nonsense can take. */
    private const LARGEST = 8 * 1024 * 1024;

    private const WHITE = " \t\r\n";

    private string $buffer = '';

    private int $offset = 0;

    /** @param  resource  $stream */
    public function __construct(private $stream)
    {
    }

    /**
     * @return \Generator<int, string>
     *
     * @throws InvalidAsk if the stream does not hold one JSON array and nothing else
     */
    public function elements(): \Generator
    {
        if ($this->nextByte() !== '[') {
            throw InvalidAsk::at('', 'must be a list');
        }
        $this->offset++;
        $first = true;
        while (($byte = $this->nextByte()) !== ']') {
            if ($byte === null || (! $first && $byte !== ',')) {
                throw InvalidAsk::at('', 'the list breaks off or is not well formed');
            }
            if (! $first) {
                $this->offset++;
                $this->nextByte();
            }
            yield $this->element();
            $first = false;
        }
        $this->offset++;
        if ($this->nextByte() !== null) {
            throw InvalidAsk::at('', 'something follows the list');
        }
    }

    /** The next byte that is no white space, not taken; null at the end. */
    private function nextByte(): ?string
    {
        do {
            $this->offset += strspn($this->buffer, self::WHITE, $this->offset);
            if ($this->offset < strlen($this->buffer)) {
                return $this->buffer[$this->offset];
            }
        } while ($this->refill());

        return null;
    }

    private function refill(): bool
    {
        $block = feof($this->stream) ? '' : fread($this->stream, self::BLOCK);
        if ($block === '' || $block === false) {
            return false;
        }
        $this->buffer = substr($this->buffer, $this->offset).$block;
        $this->offset = 0;

        return true;
    }

    private function element(): string
    {
        $text = '';
        $depth = 0;
        $inString = false;
        while (true) {
            $text .= $this->upTo($inString ? '"\\' : '"{}[],');
            if (strlen($text) > self::LARGEST) {
                throw InvalidAsk::at('', 'an element is larger than '.intdiv(self::LARGEST, 1024 * 1024).' MiB');
            }
            $byte = $this->buffer[$this->offset] ?? null;
            if ($byte === null || ($byte === '\\' && $this->offset + 1 >= strlen($this->buffer))) {
                $this->needMore();

                continue;
            }
            if ($depth === 0 && ! $inString && ($byte === ',' || $byte === ']')) {
                return trim($text, self::WHITE);
            }
            // What is escaped is taken with its backslash, whatever it is.
            $taken = $byte === '\\' ? 2 : 1;
            $text .= substr($this->buffer, $this->offset, $taken);
            $this->offset += $taken;
            $inString = $byte === '"' ? ! $inString : $inString;
            $depth += match ($byte) {
                '{', '[' => 1,
                '}', ']' => -1,
                default => 0,
            };
        }
    }

    private function upTo(string $bytes): string
    {
        $length = strcspn($this->buffer, $bytes, $this->offset);
        $this->offset += $length;

        return substr($this->buffer, $this->offset - $length, $length);
    }

    private function needMore(): void
    {
        if (! $this->refill()) {
            throw InvalidAsk::at('', 'the list breaks off or is not well formed');
        }
    }
}
