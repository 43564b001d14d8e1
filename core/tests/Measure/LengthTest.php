<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\LengthPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableNumber;

// Figures by exact rational arithmetic; the client is held to the same file.
/** @return array<string, list<array{typed: string, units: string, nm: int, fault: string, text: string}>> */
function lengthVectors(): array
{
    return json_decode((string) file_get_contents(__DIR__.'/../vectors/lengths.json'), true, 16, JSON_THROW_ON_ERROR);
}

/** @return array<string, array{array<string, mixed>}> */
function named(string $kind, string $by): array
{
    $named = [];
    foreach (lengthVectors()[$kind] as $vector) {
        $named["\"{$vector[$by]}\" in {$vector['units']}"] = [$vector];
    }

    return $named;
}

it('reads what a technician types, or says what is wrong with it', function (array $vector): void {
    $system = UnitSystem::from($vector['units']);
    if (isset($vector['fault'])) {
        expect(fn () => Length::read($vector['typed'], $system))
            ->toThrow(fn (UnreadableNumber $e) => expect($e->fault->value)->toBe($vector['fault']));

        return;
    }
    $length = Length::read($vector['typed'], $system);
    expect($length->nanometres)->toBe($vector['nm'])->and($length->typed)->toBe($vector['typed']);
})->with(named('read', 'typed'));

it('prints to the sixteenth and to the tenth of a millimetre', function (array $vector): void {
    $printer = new LengthPrinter(UnitSystem::from($vector['units']));
    expect($printer->print(Length::ofNanometres($vector['nm'])))->toBe($vector['text']);
})->with(named('print', 'nm'));

it('never prints a difference as nothing unless it is', function (array $vector): void {
    $printer = new LengthPrinter(UnitSystem::from($vector['units']));
    expect($printer->difference(Length::ofNanometres($vector['nm'])))->toBe($vector['text']);
})->with(named('difference', 'nm'));

it('reads back what it prints, for every sixteenth from 0 to 48 in, in both systems', function (UnitSystem $system): void {
    $printer = new LengthPrinter($system);
    $inches = new LengthPrinter(UnitSystem::Inch);
    for ($sixteenths = 0; $sixteenths <= 48 * 16; $sixteenths++) {
        $length = Length::ofSixteenths($sixteenths);
        $again = Length::read($printer->print($length), $system);
        expect($printer->print($again))->toBe($printer->print($length))
            // A tenth of a millimetre still tells one sixteenth (1.5875 mm) from the next.
            ->and($inches->print($again))->toBe($inches->print($length));
        if ($system === UnitSystem::Inch) {
            expect($again->equals($length))->toBeTrue();
        }
    }
})->with([UnitSystem::Inch, UnitSystem::Metric]);

it('prints thirty-seconds where asked', function (): void {
    expect((new LengthPrinter(UnitSystem::Inch, 32))->print(Length::read('14 13/32', UnitSystem::Inch)))->toBe('14 13/32 in');
});

it('keeps millimetres from the database exact', function (): void {
    expect(Length::ofMillimetres('365.125000')->equals(Length::read('14 3/8', UnitSystem::Inch)))->toBeTrue()
        ->and(Length::ofMillimetres('368.300000')->equals(Length::read('14 1/2', UnitSystem::Inch)))->toBeTrue();
});
