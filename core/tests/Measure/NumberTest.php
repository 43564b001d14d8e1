<?php

declare(strict_types=1);

use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

// Worked out by hand from the rules of the job; the client is held to the same file.
/** @return array<string, array{array<string, mixed>}> */
function typedNumbers(): array
{
    $vectors = json_decode((string) file_get_contents(__DIR__.'/../vectors/numbers.json'), true, 16, JSON_THROW_ON_ERROR);
    $named = [];
    foreach ($vectors['read'] as $at => $vector) {
        $named["{$at} \"{$vector['typed']}\""] = [$vector];
    }

    return $named;
}

it('reads a typed number, or says what is wrong with it', function (array $vector): void {
    $style = isset($vector['style']) ? NumberStyle::from($vector['style']) : null;
    $reader = new NumberReader(array_map(floatval(...), $vector['units'] ?? []), $vector['low'] ?? -INF, $vector['high'] ?? INF, $vector['whole'] ?? false, style: $style);
    try {
        $read = $reader->read($vector['typed']);
    } catch (UnreadableNumber $unreadable) {
        expect($unreadable->fault->value)->toBe($vector['fault'] ?? 'no fault')
            ->and(array_intersect_key($unreadable->fill(), ['one' => 1, 'other' => 1]))->toBe(array_intersect_key($vector, ['one' => 1, 'other' => 1]));

        return;
    }
    expect($read)->toEqualWithDelta($vector['value'] ?? 'a fault', 1e-9);
})->with(typedNumbers());

it('names the units and the range in the field\'s own words', function (): void {
    $of = static function (NumberReader $reader, string $typed): array {
        try {
            return [$reader->read($typed)];
        } catch (UnreadableNumber $unreadable) {
            return $unreadable->fill();
        }
    };
    expect($of(new NumberReader(['lb' => 1.0, 'kg' => 2.2], 0, 100, name: 'lb'), '120'))->toBe(['typed' => '120', 'high' => '100 lb'])
        ->and($of(new NumberReader([], 0.5, 100, style: NumberStyle::Comma), '0,2'))->toBe(['typed' => '0,2', 'low' => '0,5'])
        ->and($of(new NumberReader(['lb' => 1.0, 'kg' => 2.2]), '5 gal'))->toBe(['typed' => '5 gal', 'units' => 'lb, kg']);
});
