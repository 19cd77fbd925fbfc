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
            $length = strcspn($this->buffer, $inString ? '"\\' : '"{}[],', $this->offset);
            $text .= substr($this->buffer, $this->offset, $length);
            $this->offset += $length;
            if (strlen($text) > self::LARGEST) {
                throw InvalidAsk::at('', 'an element is larger than '.intdiv(self::LARGEST, 1024 * 1024).' MiB');
            }
            if ($this->offset >= strlen($this->buffer)) {
                if (! $this->refill()) {
                    throw InvalidAsk::at('', 'the list breaks off or is not well formed');
                }

                continue;
            }
            $byte = $this->buffer[$this->offset];
            if ($byte === '\\') {
                if ($this->offset + 1 >= strlen($this->buffer) && ! $this->refill()) {
                    throw InvalidAsk::at('', 'the list breaks off or is not well formed');
                }
                $text .= substr($this->buffer, $this->offset, 2);
                $this->offset += 2;

                continue;
            }
            if ($depth === 0 && ! $inString && ($byte === ',' || $byte === ']')) {
                return trim($text, self::WHITE);
            }
            $text .= $byte;
            $this->offset++;
            if ($byte === '"') {
                $inString = ! $inString;
            } elseif ($byte === '{' || $byte === '[') {
                $depth++;
            } elseif ($byte === '}' || $byte === ']') {
                $depth--;
            }
        }
    }
}
