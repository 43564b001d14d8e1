<?php

declare(strict_types=1);

namespace App\Walk\Board;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Unit\Catalogue;

/** An answer as the columns value, state and chips keep it; read when it is asked for, since a board holds thousands. */
final readonly class StoredAnswer
{
    /**
     * @param  string  $check  key
     * @param  string|null  $value  in the check's unit, as the database hands it out
     * @param  string  $chips  a JSON list
     */
    public function __construct(
        private string $check,
        public ?string $value,
        private ?string $state,
        private string $chips,
    ) {
    }

    /** @return array{value: string|null, state: string|null, chips: string} */
    public static function columns(?Answer $answer): array
    {
        $quantity = $answer?->quantity;

        return [
            'value' => $quantity === null ? null : number_format($quantity->unit()->valueOf($quantity), 6, '.', ''),
            'state' => $answer?->state?->value,
            'chips' => json_encode(array_map(static fn (Chip $chip): string => $chip->value, $answer->chips ?? []), JSON_THROW_ON_ERROR),
        ];
    }

    /** Null where no figure was read and no state seen. */
    public function answer(): ?Answer
    {
        if ($this->value !== null) {
            return Answer::figure(self::unit($this->check)->quantityOf($this->value), $this->chips());
        }

        return $this->state === null ? null : Answer::state(State::from($this->state), $this->chips());
    }

    /** In the check's unit, without a look at what it means. */
    public function figure(): ?float
    {
        return $this->value === null ? null : (float) $this->value;
    }

    public function state(): ?State
    {
        return $this->state === null ? null : State::from($this->state);
    }

    /** @return list<Chip> one that is known no more is left out */
    public function chips(): array
    {
        return $this->chips === '[]' ? [] : array_values(array_filter(array_map(Chip::tryFrom(...), json_decode($this->chips, true))));
    }

    private static function unit(string $check): Unit
    {
        static $units = [];

        return $units[$check] ??= Catalogue::shipped()->check(CheckKey::from($check))->unit;
    }
}
