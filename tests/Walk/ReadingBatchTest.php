<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->planterUnderTest = $this->planter(['row_count' => 8]);
    $this->walk = $this->openWalk($this->planterUnderTest);
});

/** @return list<mixed> */
function outcomes($answer): array
{
    return array_column($answer->assertOk()->json('receipts'), 'outcome');
}

it('stores the good readings of a batch and names the bad one', function (): void {
    $answer = $this->send($this->walk, $this->reading(1, '14 3/4'), $this->reading(2, '14 3/'), $this->reading(3, '14 11/16'));
    expect(outcomes($answer))->toBe(['stored', 'refused', 'stored'])
        ->and($answer->json('receipts.1'))->toMatchArray(['index' => 1, 'status' => 422, 'message' => '"14 3/": the fraction needs its bottom number, such as 14 3/8.'])
        ->and(DB::table('readings')->pluck('typed')->sort()->values()->all())->toBe(['14 11/16', '14 3/4']);
});

it('says what is wrong with a reading', function (array $fields, string $message): void {
    $reading = $this->reading(1, '14 3/4');
    $answer = $this->send($this->walk, array_filter($fields + $reading, fn ($value): bool => $value !== null));
    expect(outcomes($answer))->toBe(['refused'])->and($answer->json('receipts.0.message'))->toBe($message)
        ->and(DB::table('readings')->count())->toBe(0);
})->with([
    'row 0' => [['row' => 0], 'There is no row 0 on this planter. Its rows are 1 to 8.'],
    'row 49' => [['row' => 49], 'There is no row 49 on this planter. Its rows are 1 to 8.'],
    'a row as text' => [['row' => '1'], 'There is no row 1 on this planter. Its rows are 1 to 8.'],
    'no such check' => [['check' => 'magneto'], 'Row 1 has no such check on this planter\'s spec sheet (?).'],
    'no such side' => [['side' => 'centre'], 'Row 1 does not have "Opener blade diameter" on that side.'],
    'no id' => [['id' => 'seven'], 'This reading has no id. Each needs a UUID of its own, made on the device.'],
    'no time' => [['taken_at' => 'yesterday'], 'This reading does not say when it was taken. Write the time as 2026-03-01T09:30:00Z.'],
    'an impossible time' => [['taken_at' => '2026-13-45T99:00:00Z'], 'This reading does not say when it was taken. Write the time as 2026-03-01T09:30:00Z.'],
    'the future' => [['taken_at' => '2099-01-01T00:00:00Z'], 'This reading says that it was taken on 2099-01-01. Check the device\'s clock.'],
    'empty' => [['typed' => ''], 'Type a number.'],
    'a list for a text' => [['typed' => ['14']], 'Nothing was typed. Write a length such as 14 3/8, 14.375 in or 365 mm.'],
    'a novel' => [['typed' => str_repeat('14', 30)], 'More than 40 characters were typed. Write a length such as 14 3/8.'],
    'an unknown result' => [['result' => 'guessed'], 'A reading is recorded, looked_sound, not_fitted or withdrawn.'],
]);

it('refuses a contact on a drill, which has none', function (): void {
    $drill = $this->planter(['row_count' => 2, 'spec_sheet_id' => $this->typicalSheet('single_disc_drill')->id]);
    $answer = $this->send($this->openWalk($drill, null), $this->contact(1, '2'), $this->reading(1, '14 3/4', ['side' => 'centre']));
    expect(outcomes($answer))->toBe(['refused', 'stored'])
        ->and($answer->json('receipts.0.message'))->toBe('Row 1 has no such check on this planter\'s spec sheet (Blade contact length).');
});

it('refuses what is no batch', function (string $body, int $status, string $message): void {
    $answer = $this->actingAs($this->technician)->call(
        'POST', "/api/walks/{$this->walk->id}/readings", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body,
    );
    expect($answer->getStatusCode())->toBe($status)->and($answer->json('message'))->toBe($message);
})->with([
    ['{"readings": [', 400, 'The request is not readable JSON. Nothing was stored.'],
    ['{"readings": []}', 422, 'Send a list of readings, 1 to 500 at a time.'],
    ['{"readings": {"a": 1}}', 422, 'Send a list of readings, 1 to 500 at a time.'],
    ['[]', 422, 'Send a list of readings, 1 to 500 at a time.'],
    ['{"readings": ['.implode(',', array_fill(0, 501, '1')).']}', 422, 'Send a list of readings, 1 to 500 at a time.'],
]);

it('takes the same batch twice without doubling, and refuses an id with other content', function (): void {
    $batch = [$this->reading(1, '14 3/4'), $this->contact(1, '2')];
    expect(outcomes($this->send($this->walk, ...$batch)))->toBe(['stored', 'stored'])
        ->and(outcomes($this->send($this->walk, ...$batch)))->toBe(['known', 'known'])
        ->and(outcomes($this->send($this->walk, $batch[0], $batch[0], $this->reading(2, '14 3/4'))))->toBe(['known', 'known', 'stored'])
        ->and(DB::table('readings')->count())->toBe(3);

    $other = ['typed' => '14 1/4'] + $batch[0];
    $this->send($this->walk, $other)->assertConflict()->assertJsonPath('receipts.0.outcome', 'conflict');
    expect(outcomes($this->send($this->walk, $other, $this->reading(3, '14 3/4'))))->toBe(['conflict', 'stored'])
        ->and(DB::table('readings')->where('id', $batch[0]['id'])->value('typed'))->toBe('14 3/4');
});

it('tells what is hard to believe and keeps it once confirmed', function (): void {
    $large = $this->reading(1, '15 1/2');
    $answer = $this->send($this->walk, $large);
    expect(outcomes($answer))->toBe(['doubtful'])
        ->and($answer->json('receipts.0.doubts'))->toBe([['code' => 'larger_than_new', 'ref' => 381, 'unit' => 'mm']])
        ->and(DB::table('readings')->count())->toBe(0)
        ->and(outcomes($this->send($this->walk, ['confirmed' => true] + $large)))->toBe(['stored']);

    // Two blades a row: of the sixteen places eight have to be read before one is held against the others.
    $row = fn (int $row): array => [$this->reading($row, '14 3/4'), $this->reading($row, '14 3/4', ['side' => 'right'])];
    expect(outcomes($this->send($this->walk, ...$row(2), ...$row(3), ...[$this->reading(6, '13')])))->toBe([...array_fill(0, 5, 'stored')])
        ->and(outcomes($this->send($this->walk, ...$row(4), ...$row(5), ...[$this->reading(7, '13')])))->toBe([...array_fill(0, 4, 'stored'), 'doubtful']);
});

it('does not hold a row against what was read of itself', function (): void {
    $rows = array_map(fn (int $row): array => $this->reading($row, '14 3/4'), [1, 2, 3, 4]);
    expect(outcomes($this->send($this->walk, ...$rows)))->toBe(['stored', 'stored', 'stored', 'stored'])
        // Three others say nothing yet; its own earlier reading is no fourth.
        ->and(outcomes($this->send($this->walk, $this->reading(4, '13'))))->toBe(['stored']);
});

it('comes to the same state in whatever order readings arrive', function (): void {
    mt_srand(7);
    $readings = [];
    foreach (range(1, 60) as $minute) {
        $kind = mt_rand(0, 9);
        $fields = ['confirmed' => true, 'side' => mt_rand(0, 1) === 0 ? 'left' : 'right', 'taken_at' => sprintf('2026-03-01T09:%02d:00.000Z', $minute % 60)];
        $readings[] = $this->reading(mt_rand(1, 8), '14 '.mt_rand(1, 7).'/8', $fields + match ($kind) {
            0 => ['result' => 'withdrawn'],
            1 => ['result' => 'not_fitted'],
            default => [],
        });
    }
    $state = fn (): array => [
        DB::table('cells')->orderByRaw('row_number, side')->get(['row_number', 'side', 'reading_id', 'result', 'verdict'])->all(),
        DB::table('walk_rows')->orderBy('row_number')->get(['row_number', 'verdict', 'life_left', 'checked'])->all(),
    ];
    $this->send($this->walk, ...$readings)->assertOk();
    $expected = $state();
    expect($this->artisan('ustrel:rebuild'))->toBe(0);

    foreach ([1, 2] as $round) {
        DB::table('cells')->delete();
        DB::table('walk_rows')->delete();
        DB::table('readings')->delete();
        shuffle($readings);
        foreach (array_chunk([...$readings, ...array_slice($readings, 0, 20)], 13) as $chunk) {
            $this->send($this->walk, ...$chunk)->assertOk();
        }
        expect($state())->toEqual($expected);
    }
});

it('puts a state right that differs from the record', function (): void {
    $this->send($this->walk, $this->reading(1, '14 3/8'))->assertOk();
    DB::table('cells')->update(['verdict' => 'sound']);
    expect($this->artisan('ustrel:rebuild'))->toBe(1);
    expect(DB::table('cells')->value('verdict'))->toBe('change');
    expect($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('lets the database defend itself', function (array $fields): void {
    $row = $fields + [
        'id' => (string) Str::uuid7(), 'walk_id' => $this->walk->id, 'planter_id' => $this->planterUnderTest->id, 'row_number' => 1,
        'check_key' => 'opener_blade_diameter', 'side' => 'left', 'result' => 'recorded', 'entry' => 'typed', 'value' => 370,
        'typed' => '370 mm', 'confirmed' => false, 'taken_at' => now(), 'recorded_at' => now(), 'user_id' => $this->technician->id,
    ];
    expect(fn () => DB::table('readings')->insert($row))->toThrow(Illuminate\Database\QueryException::class);
})->with([[['row_number' => 65]], [['side' => 'top']], [['value' => null]], [['result' => 'not_fitted']], [['state' => 'sound']], [['state' => 'fine', 'value' => null, 'typed' => null]], [['user_id' => 0]]]);
