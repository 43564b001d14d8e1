<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;
use Ustrel\Core\Parts\Slot;

/** A kind of part, as the shop has it in its catalogue. */
final readonly class PartTypeEdit extends Input
{
    public function __construct(
        #[Field('part.name', 'max:80')] public string $name,
        /** @var list<Slot> */
        #[Field('part.slots', 'min:1')] public array $slots,
        #[Field('part.per_row', 'between:1,20')] public int $per_row,
        #[Field('part.own_number', 'max:40')] public ?string $own_number = null,
        /** A length as typed */
        #[Field('', 'max:40')] public ?string $new_size = null,
        /** Expected, in furrow miles or kilometers as typed */
        #[Field('', 'max:40')] public ?string $life = null,
        /** For one */
        #[Field('part.price', 'between:0,100000', 'decimal:0,2')] public ?float $price = null,
        #[Field('part.lead_days', 'between:0,730')] public ?int $lead_days = null,
        /** That is to stay on the shelf */
        #[Field('part_type.minimum', 'between:0,10000')] public ?int $minimum = null,
        #[Field('part.notes', 'max:1000')] public string $notes = '',
        /** An opener blade of the heavier kind, with large rivets */
        public bool $heavy = false,
        /** A seed tube guard with clearance for large rivets */
        public bool $clearance = false,
        /** That was changed: with another one meanwhile nothing is overwritten */
        #[Field('', 'max:40')] public ?string $version = null,
    ) {
    }

    /** @return array<string, mixed> the columns, with what was typed read in somebody's units */
    public function columnsIn(UnitSystem $units): array
    {
        $size = $this->new_size === null ? null : Length::read($this->new_size, $units);
        $life = $this->life === null ? null : Unit::FurrowMile->read($this->life, $units);

        return [
            'slots' => array_values(array_unique(array_map(static fn (Slot $slot): string => $slot->value, $this->slots))),
            'new_size' => $size === null ? null : number_format($size->toMillimetres(), 6, '.', ''),
            'new_size_typed' => $size?->typed,
            'life_m' => $life === null ? null : round(FurrowDistance::ofMiles(Unit::FurrowMile->valueOf($life))->metres, 1),
        ] + array_diff_key($this->columns(), ['life' => 1]);
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        foreach (['new_size' => Unit::Millimetre, 'life' => Unit::FurrowMile] as $field => $unit) {
            try {
                if ($input->{$field} !== null && $unit->read($input->{$field}, $request->user()->units ?? UnitSystem::Inch)->steps() === 0) {
                    $checked->errors()->add($field, __('part.zero'));
                }
            } catch (UnreadableNumber $unreadable) {
                $checked->errors()->add($field, __($unreadable->wordKey(), $unreadable->fill()));
            }
        }
    }
}
