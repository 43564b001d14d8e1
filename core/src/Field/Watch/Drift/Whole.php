<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch\Drift;

use Ustrel\Core\Field\Watch\Watched;

/** All rows together against what is set: what drives or feeds all of them. Watched where the monitor tells what that is. */
final class Whole
{
    /** By so small a share no rate is changed on purpose. */
    private const SAME_TARGET = 0.001;

    private ?Stream $stream = null;

    private ?float $target = null;

    /** How far they were off; null where no alarm is open. */
    private ?float $off = null;

    /** @var list<int> those that were seen then */
    private array $rows = [];

    public function __construct(private readonly Watched $of, private readonly StreamKind $kind)
    {
    }

    public function isWatched(): bool
    {
        return $this->stream !== null;
    }

    /**
     * Just after what is set was changed nobody knows.
     *
     * @param  float  $level  of all rows, scaled
     * @param  float  $blocks  to a false alarm of one stream
     * @param  non-empty-list<int>  $there  rows that were seen
     * @return array{off: float, blocks: int, from: float, to: float}|null how far they are off, by more than chance, since how many blocks, and of what to what
     */
    public function block(float $level, ?float $target, float $blocks, array $there): ?array
    {
        [$before, $this->target] = [$this->target, $target];
        if ($target === null || $before === null || $target <= 0 || abs($target / $before - 1) > self::SAME_TARGET) {
            return null;
        }
        $stream = $this->stream ??= new Stream;
        $set = $this->of->scaled($target);
        $z = $stream->take($level - $set, $this->kind->scatter, $this->off === null);
        if ($z === null || $this->off !== null || ! $this->kind->isOver($this->of, $stream, $z, $this->kind->sd($stream), $blocks)) {
            return null;
        }
        $span = max(2, min(Stream::RING, $stream->since(($stream->lately(Stream::RING) ?? 0.0) < 0 ? -1 : 1)));
        $off = (float) $stream->lately($span);
        $stream->calm();
        [$this->off, $this->rows] = [$off, $there];

        return ['off' => $off, 'blocks' => $span, 'from' => $this->of->back($set + $stream->mean), 'to' => $this->of->back($set + $stream->mean + $off)];
    }

    /** Whether an alarm was open and they are as they were, over so many blocks; it is closed then. */
    public function isBack(int $blocks): bool
    {
        $lately = $this->off === null ? null : $this->stream?->lately($blocks);
        if ($lately === null || abs($lately) >= min(abs((float) $this->off), $this->of->worth()) / 2) {
            return false;
        }
        $this->off = null;

        return true;
    }

    /**
     * What they are like now is how they are to be from here on, where these rows are meant by the alarm that is open.
     *
     * @param  list<int>  $rows
     */
    public function accept(array $rows): bool
    {
        if ($this->off === null || $rows !== $this->rows) {
            return false;
        }
        $this->stream?->startAnew();
        $this->off = null;

        return true;
    }

    /** @return array{list<float>, list<float>} of scatter and of peaks, for the next run */
    public function learned(): array
    {
        return $this->kind->learned();
    }
}
