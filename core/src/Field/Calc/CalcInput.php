<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Field\Settings\SettingKey;

/** One figure, or one list of figures, that a calculator asks for. Worded under `calc_input.<key>`. */
final readonly class CalcInput
{
    private function __construct(
        public string $key,
        public CalcUnit $unit,
        /** In its unit. */
        public float $least,
        public float $most,
        public bool $isWhole = false,
        public bool $isList = false,
        public bool $mayLack = false,
        /** That it is filled from, and can be kept as. */
        public ?SettingKey $setting = null,
    ) {
    }

    public static function of(string $key, CalcUnit $unit, float $least, float $most): self
    {
        return new self($key, $unit, $least, $most);
    }

    public static function whole(string $key, int $least, int $most): self
    {
        return new self($key, CalcUnit::Plain, $least, $most, isWhole: true);
    }

    /** @param  bool  $isWhole  such as teeth */
    public static function list(string $key, CalcUnit $unit, float $least, float $most, bool $isWhole = false): self
    {
        return new self($key, $unit, $least, $most, $isWhole, isList: true);
    }

    public function ifKnown(): self
    {
        return new self($this->key, $this->unit, $this->least, $this->most, $this->isWhole, $this->isList, true, $this->setting);
    }

    public function from(SettingKey $setting): self
    {
        return new self($this->key, $this->unit, $this->least, $this->most, $this->isWhole, $this->isList, $this->mayLack, $setting);
    }

    /**
     * @param  list<float>|float|null  $value  as it was typed, in this unit
     *
     * @throws InvalidFigure where it is missing or cannot be so
     */
    public function check(array|float|null $value): void
    {
        if ($value === null || $value === []) {
            $this->mayLack || throw InvalidFigure::of($this->key, 'missing');

            return;
        }
        if (is_array($value) !== $this->isList) {
            throw InvalidFigure::of($this->key, $this->isList ? 'list' : 'one');
        }
        foreach ((array) $value as $one) {
            if ($one < $this->least || $one > $this->most || is_nan($one)) {
                throw InvalidFigure::range($this->key, $this->least, $this->most);
            }
            if ($this->isWhole && floor($one) !== $one) {
                throw InvalidFigure::of($this->key, 'whole');
            }
        }
    }
}
