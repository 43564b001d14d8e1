<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * Numbers in words, as people dictate them to whoever holds the pencil: `fourteen and five eighths`, `two and a half
 * inches`, `three quarters`, `thirty four thousand`, `14 and 5/8`.
 */
final readonly class SpokenNumber
{
    private const ONES = ['zero' => 0, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19];

    private const TENS = ['twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80, 'ninety' => 90];

    /** Parts of a whole that a tape has, by the word they end in. */
    private const PARTS = ['half' => 2, 'halves' => 2, 'quarter' => 4, 'quarters' => 4, 'fourth' => 4, 'fourths' => 4, 'eighth' => 8, 'eighths' => 8, 'sixteenth' => 16, 'sixteenths' => 16];

    /** The same of two words. */
    private const LONG_PARTS = ['thirty second' => 32, 'thirty seconds' => 32, 'sixty fourth' => 64, 'sixty fourths' => 64];

    /** @param  list<string>  $words */
    private function __construct(private array $words)
    {
    }

    /**
     * The same text with its number words turned into figures: `14 5/8`, `2 1/2 inches`. Words that do not follow each other as
     * they would in a number stay as they are. "Twenty five eighths" is 25/8: nothing tells whether 20 5/8 was meant.
     *
     * @param  string  $text  in small letters, with single spaces
     */
    public static function inFigures(string $text): string
    {
        if (preg_match('/[a-z]/', $text) !== 1) {
            return $text;
        }
        $spoken = new self(preg_split('/ |(?<=[a-z])-(?=[a-z])/', $text) ?: []);
        $said = [];
        for ($at = 0; $at < count($spoken->words);) {
            [$figure, $at] = $spoken->number($at) ?? [$spoken->words[$at], $at + 1];
            $said[] = $figure;
        }

        return implode(' ', $said);
    }

    /** @return array{string, int}|null a whole number, a fraction or both, and the place behind */
    private function number(int $at): ?array
    {
        $whole = $this->whole($at);
        if ($whole === null) {
            return $this->fraction($at);
        }
        [$value, $behind] = $whole;
        $part = $this->part($behind);
        if ($part !== null) {
            return ["{$value}/{$part[0]}", $this->pastArticle($part[1])];
        }
        $fraction = $this->fraction($this->word($behind) === 'and' ? $behind + 1 : $behind);

        return $fraction === null ? $whole : ["{$value} {$fraction[0]}", $fraction[1]];
    }

    /** @return array{string, int}|null */
    private function fraction(int $at): ?array
    {
        if (preg_match('#^\d+/\d+$#D', $this->word($at)) === 1) {
            return [$this->word($at), $at + 1];
        }
        [$top, $behind] = match (true) {
            in_array($this->word($at), ['a', 'an'], true) => ['1', $at + 1],
            isset(self::PARTS[$this->word($at)]) => ['1', $at],
            default => $this->whole($at) ?? ['', $at],
        };
        $part = $top === '' ? null : $this->part($behind);

        return $part === null ? null : ["{$top}/{$part[0]}", $this->pastArticle($part[1])];
    }

    /** @return array{int, int}|null the bottom of a fraction, and the place behind */
    private function part(int $at): ?array
    {
        $long = self::LONG_PARTS["{$this->word($at)} {$this->word($at + 1)}"] ?? null;
        if ($long !== null) {
            return [$long, $at + 2];
        }

        return isset(self::PARTS[$this->word($at)]) ? [self::PARTS[$this->word($at)], $at + 1] : null;
    }

    /** Half *an* inch, a quarter *of an* inch. */
    private function pastArticle(int $at): int
    {
        $at += (int) ($this->word($at) === 'of');

        return $at + (int) in_array($this->word($at), ['a', 'an'], true);
    }

    /** @return array{string, int}|null a whole number in figures or in words, and the place behind */
    private function whole(int $at): ?array
    {
        if (preg_match('/^\d+$/D', $this->word($at)) === 1) {
            return [$this->word($at), $at + 1];
        }
        $start = $at;
        $thousands = 0;
        $sum = 0;
        // What may still be added: anything under a hundred, one to nine behind a ten, nothing behind the rest.
        $room = 100;
        for (; ; $at++) {
            $word = $this->word($at);
            $value = self::ONES[$word] ?? self::TENS[$word] ?? null;
            if ($value !== null && $value < $room && ($room === 100 || $value > 0) && $this->part($at) === null) {
                $sum += $value;
                $room = isset(self::TENS[$word]) ? 10 : 0;
            } elseif ($word === 'hundred' && $sum % 1000 > 0 && $sum < 10) {
                [$sum, $room] = [100 * $sum, 100];
            } elseif ($word === 'thousand' && $sum > 0 && $thousands === 0) {
                [$thousands, $sum, $room] = [$sum, 0, 100];
            } elseif ($word !== 'and' || $at === $start || ! in_array($this->word($at - 1), ['hundred', 'thousand'], true) || ! isset((self::ONES + self::TENS)[$this->word($at + 1)])) {
                break;
            }
        }

        return $at === $start ? null : [(string) (1000 * $thousands + $sum), $at];
    }

    private function word(int $at): string
    {
        return $this->words[$at] ?? '';
    }
}
