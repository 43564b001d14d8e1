<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use Ustrel\Core\CoreException;

/** Thrown where a day or a moment is not written as one, or is none of the calendar's. */
final class UnreadableTime extends CoreException implements Unreadable
{
    private function __construct(
        private readonly string $kind,
        private readonly string $typed,
    ) {
        parent::__construct("\"{$typed}\" is no {$kind}");
    }

    public static function day(string $typed): self
    {
        return new self('day', $typed);
    }

    public static function moment(string $typed): self
    {
        return new self('moment', $typed);
    }

    public function wordKey(): string
    {
        return "time.{$this->kind}";
    }

    public function typed(): string
    {
        return $this->typed;
    }

    public function fill(): array
    {
        return ['typed' => $this->typed];
    }
}
