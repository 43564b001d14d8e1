<?php

declare(strict_types=1);

use App\Models\Walk\Photo;
use App\Walk\Photos\PhotoFiles;
use Illuminate\Http\UploadedFile;
use Illuminate\Process\Exceptions\ProcessTimedOutException;
use Illuminate\Process\FakeProcessResult;
use Illuminate\Process\PendingProcess;
use Illuminate\Process\ProcessResult;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Symfony\Component\Process\Exception\ProcessTimedOutException as TimedOut;
use Symfony\Component\Process\PhpProcess;

beforeEach(function (): void {
    $this->planterUnderTest = $this->planter(['planting_start' => '2025-04-20']);
    $this->walk = $this->openWalk($this->planterUnderTest);
});

/** @return array<string, mixed> */
function remark(array $fields = []): array
{
    return $fields + [
        'id' => (string) Str::uuid7(), 'row' => 3, 'check' => 'gauge_bearing', 'side' => 'left', 'taken_at' => '2025-03-01T09:30:00.000Z',
    ];
}

/** A picture with what a camera writes beside the pixels: an EXIF block that says "hold me sideways", and a made-up place name. */
function cameraPicture(int $width, int $height): string
{
    $image = imagecreatetruecolor($width, $height);
    imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, 0xCC3300);
    ob_start();
    imagejpeg($image);
    $jpeg = (string) ob_get_clean();
    // TIFF, little-endian: one entry, orientation (0x0112), short, 1 value, 6 = turned a quarter; then text.
    $tiff = "II*\0".pack('V', 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, 6, 0).pack('V', 0).'Ardle valley';
    $exif = "Exif\0\0".$tiff;

    return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
}

function upload(string $content, string $name = 'photo.jpg'): UploadedFile
{
    $path = (string) tempnam(sys_get_temp_dir(), 'photo');
    file_put_contents($path, $content);

    return new UploadedFile($path, $name, null, null, true);
}

it('warns next year of what was hard to open, and keeps a note to its walk', function (): void {
    $this->postJson("/api/walks/{$this->walk->id}/notes", remark(['kind' => 'hard_joint', 'text' => 'Bolt seized']))->assertCreated();
    $this->postJson("/api/walks/{$this->walk->id}/notes", remark(['kind' => 'note', 'text' => 'Look again']))->assertCreated()->assertJsonCount(2, 'notes');
    $this->postJson("/api/walks/{$this->walk->id}/finish", ['with_unchecked' => true])->assertOk();
    $this->planterUnderTest->update(['planting_start' => '2026-04-20']);

    $notes = $this->getJson("/api/planters/{$this->planterUnderTest->id}/guide")->json('notes');
    expect($notes)->toHaveCount(1)
        ->and($notes[0])->toMatchArray(['kind' => 'hard_joint', 'text' => 'Bolt seized', 'row' => 3, 'season' => 2025]);
    expect($this->getJson("/api/planters/{$this->planterUnderTest->id}/rows/3")->json('notes'))->toHaveCount(2);
});

it('keeps a note once, corrects it by another, and takes it back by an empty one', function (): void {
    $note = remark(['kind' => 'note', 'text' => 'Bolt seized']);
    $post = fn (array $note): Illuminate\Testing\TestResponse => $this->postJson("/api/walks/{$this->walk->id}/notes", $note);
    $post($note)->assertCreated();
    $post($note)->assertOk();
    $post(['text' => 'Other'] + $note)->assertConflict()->assertJsonPath('message', 'Something else with other content already has this id. Nothing was changed.');

    $better = remark(['kind' => 'note', 'text' => 'Bolt came free', 'supersedes' => $note['id']]);
    expect(array_column($post($better)->assertCreated()->json('notes'), 'text'))->toBe(['Bolt came free']);
    $post(remark(['kind' => 'note', 'text' => 'Too late', 'supersedes' => $note['id']]))
        ->assertUnprocessable()->assertJsonPath('errors.note.0', 'That note was changed or undone meanwhile. Look at it again.');
    $post(remark(['kind' => 'note', 'text' => '', 'supersedes' => $better['id']]))->assertCreated()->assertJsonCount(0, 'notes');
    expect(DB::table('notes')->count())->toBe(3);

    $post(remark(['kind' => 'note', 'text' => '']))->assertUnprocessable()->assertJsonPath('errors.note.0', 'A note has 1 to 1000 characters.');
    $post(remark(['kind' => 'poem', 'text' => 'x']))->assertUnprocessable();
    $post(remark(['kind' => 'note', 'text' => 'x', 'row' => 99]))->assertUnprocessable();
});

it('keeps a photo upright, small and without what the camera wrote, and shows it to the workshop alone', function (): void {
    $sent = cameraPicture(2400, 1200);
    expect($sent)->toContain('Ardle valley');
    $photo = remark();
    $post = fn (string $content): Illuminate\Testing\TestResponse => $this->post("/api/walks/{$this->walk->id}/photos", $photo + ['photo' => upload($content)], ['Accept' => 'application/json']);
    // Held sideways: 2400 x 1200 stands 1200 wide and 2400 high, and is kept 1600 at most.
    $post($sent)->assertCreated()->assertJsonPath('photos.0.width', 800)->assertJsonPath('photos.0.height', 1600);
    $post($sent)->assertCreated()->assertJsonCount(1, 'photos');
    $post(cameraPicture(40, 20))->assertConflict();

    $kept = (string) file_get_contents(app(PhotoFiles::class)->pathOf(Photo::query()->findOrFail($photo['id']), false));
    expect($kept)->not->toContain('Exif')->not->toContain('Ardle valley');
    $picture = $this->get("/api/photos/{$photo['id']}")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->assertHeader('Cache-Control', 'no-cache, private');
    $this->get("/api/photos/{$photo['id']}", ['If-None-Match' => $picture->headers->get('ETag')])->assertStatus(304);
    expect(getimagesize($this->get("/api/photos/{$photo['id']}/thumbnail")->baseResponse->getFile()->getPathname())[1])->toBe(320)
        ->and(str_starts_with((string) $picture->baseResponse->getFile()->getPathname(), public_path()))->toBeFalse();
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'))->get("/api/photos/{$photo['id']}")->assertNotFound();
});

it('refuses what is no picture, whatever its name says', function (string $content, string $name, string $message): void {
    $this->post("/api/walks/{$this->walk->id}/photos", remark() + ['photo' => upload($content, $name)], ['Accept' => 'application/json'])
        ->assertUnprocessable()->assertJsonPath('errors.photo.0', $message);
    expect(Photo::query()->count())->toBe(0);
})->with([
    'text with a false extension' => ['<?php echo 1;', 'photo.jpg', 'This file is not a picture. Send a JPEG, PNG or WebP.'],
    'a drawing' => ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'photo.png', 'This file is not a picture. Send a JPEG, PNG or WebP.'],
    'a torn picture' => [fn () => substr(cameraPicture(300, 300), 0, 420), 'photo.jpg', 'This picture cannot be read. Take it again.'],
    'too large a file' => [fn () => str_repeat('x', 15 * 1024 * 1024 + 1), 'photo.jpg', 'A photo may have 15 MB at most. Send a smaller one.'],
    // A PNG head that claims 20,000 x 20,000 pixels, which nobody should unpack.
    'a bomb' => [fn () => "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 20000, 20000)."\x08\x02\0\0\0".pack('N', 0), 'photo.png', 'This picture has more than 40 million pixels. Send a smaller one.'],
    'a line' => [fn () => "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 20000, 2)."\x08\x02\0\0\0".pack('N', 0), 'photo.png', 'This picture is more than 20 times as long as it is wide. Send one of the row unit.'],
]);

it('outlives a picture that ends the process it is made in, or keeps it for ever', function (string $what): void {
    Process::fake(['*' => fn (): FakeProcessResult => match ($what) {
        'killed' => Process::result(exitCode: 137),
        'says it is done, and is not' => Process::result(),
        'never ends' => throw new ProcessTimedOutException(new TimedOut(new PhpProcess(''), TimedOut::TYPE_GENERAL), new ProcessResult(new PhpProcess(''))),
    }]);
    $this->post("/api/walks/{$this->walk->id}/photos", remark() + ['photo' => upload(cameraPicture(20, 20))], ['Accept' => 'application/json'])
        ->assertUnprocessable()->assertJsonPath('errors.photo.0', 'This picture cannot be read. Take it again.');
    $what === 'never ends' || Process::assertRan(fn (PendingProcess $process): bool => $process->timeout === 20 && in_array('memory_limit=448M', (array) $process->command, true));
})->with(['killed', 'says it is done, and is not', 'never ends']);

it('refuses a photo of a place that is not there', function (): void {
    $this->post("/api/walks/{$this->walk->id}/photos", remark(['row' => 30]) + ['photo' => upload(cameraPicture(20, 20))], ['Accept' => 'application/json'])
        ->assertUnprocessable()->assertJsonPath('errors.photo.0', 'There is no row 30 on this planter. Its rows are 1 to 8.');
});
