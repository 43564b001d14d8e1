<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use JsonException;

/**
 * Reads what a parts counter answers: a line of JSON that says what it is and how many lines follow, then one for each part
 * that was asked for. Layout: docs/formats.md. One line that cannot be spoils all of it: who is wrong about one price may be
 * wrong about the others.
 */
final class CounterAnswer
{
    public const VERSION = 1;

    private const DEAREST = 100_000.0;

    private const MOST_STOCK = 1_000_000;

    private const LONGEST_LEAD = 730;

    /**
     * @param  list<string>  $numbers  that were asked for, each once
     * @param  string  $currency  ISO 4217
     * @return list<CounterLine> one for each number, in the order in which they were asked for
     *
     * @throws UnreadableCounter
     */
    public static function read(string $body, array $numbers, string $currency): array
    {
        $texts = preg_split('/\r?\n/', trim($body)) ?: [];
        $head = self::object($texts[0] ?? '') ?? throw new UnreadableCounter(CounterFault::NotUnderstood);
        if (($head['ustrel'] ?? null) !== 'counter' || ($head['version'] ?? null) !== self::VERSION || ! is_int($head['lines'] ?? null) || ! is_string($head['currency'] ?? null)) {
            throw new UnreadableCounter(CounterFault::NotUnderstood);
        }
        if ($head['currency'] !== $currency) {
            throw new UnreadableCounter(CounterFault::OtherCurrency, mb_substr($head['currency'], 0, 8));
        }
        $lines = [];
        foreach (array_slice($texts, 1) as $at => $text) {
            $line = self::object($text) ?? throw new UnreadableCounter($at === count($texts) - 2 ? CounterFault::Half : CounterFault::NotUnderstood);
            $read = self::line($line);
            $isAsked = in_array($read->number, $numbers, true) && ! isset($lines[$read->number]);
            $lines[$read->number] = $isAsked ? $read : throw new UnreadableCounter(CounterFault::WrongLine, mb_substr($read->number, 0, 40));
        }
        if (count($lines) < max($head['lines'], count($numbers))) {
            throw new UnreadableCounter(CounterFault::Half);
        }

        return array_map(static fn (string $number): CounterLine => $lines[$number], $numbers);
    }

    /**
     * @param  array<mixed>  $line
     *
     * @throws UnreadableCounter
     */
    private static function line(array $line): CounterLine
    {
        $number = $line['number'] ?? null;
        if (! is_string($number) || $number === '') {
            throw new UnreadableCounter(CounterFault::NotUnderstood);
        }
        $known = $line['known'] ?? true;
        $price = $line['price'] ?? null;
        $isPrice = $price === null || ((is_int($price) || is_float($price)) && $price >= 0 && $price <= self::DEAREST && abs($price * 100 - round($price * 100)) < 1e-6);
        $inStock = self::within($line['in_stock'] ?? null, self::MOST_STOCK);
        $leadDays = self::within($line['lead_days'] ?? null, self::LONGEST_LEAD);
        if (! is_bool($known) || ! $isPrice || $inStock === false || $leadDays === false) {
            throw new UnreadableCounter(CounterFault::WrongLine, mb_substr($number, 0, 40));
        }

        return $known ? new CounterLine($number, true, $price === null ? null : (float) $price, $inStock, $leadDays) : new CounterLine($number, false, null, null, null);
    }

    /** @return int|false|null false: it cannot be */
    private static function within(mixed $count, int $most): int|false|null
    {
        return $count === null || (is_int($count) && $count >= 0 && $count <= $most) ? $count : false;
    }

    /** @return array<mixed>|null */
    private static function object(string $text): ?array
    {
        try {
            $read = json_decode($text, true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            return null;
        }

        return is_array($read) && ! array_is_list($read) ? $read : null;
    }
}
