<?php

declare(strict_types=1);

namespace App\Record;

/** Says of one item of a batch what became of it. */
final readonly class Receipt
{
    /** @param  list<array{code: string, ref: float|null, unit: string|null}>  $doubts */
    private function __construct(
        /** Its place in the batch, from 0. */
        public int $index,
        public ?string $id,
        public Outcome $outcome,
        public ?string $message = null,
        public array $doubts = [],
        /** What about it was refused; empty where it is the whole of it. */
        public string $field = '',
    ) {
    }

    public static function of(int $index, string $id, Outcome $outcome): self
    {
        return new self($index, $id, $outcome);
    }

    public static function refused(int $index, ?string $id, Refused $refused): self
    {
        return new self($index, $id, Outcome::Refused, $refused->getMessage(), field: $refused->field);
    }

    public static function conflict(int $index, string $id): self
    {
        return new self($index, $id, Outcome::Conflict, __('refused.id_taken'));
    }

    public static function doubtful(int $index, string $id, Doubted $doubted): self
    {
        return new self($index, $id, Outcome::Doubtful, __('refused.doubtful'), $doubted->doubts);
    }
}
