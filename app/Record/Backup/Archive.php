<?php

declare(strict_types=1);

namespace App\Record\Backup;

use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Process;

/**
 * One file of a backup: a tar of manifest, database dump and photos, encrypted with AES-256 where there is a passphrase
 * (openssl's enc with PBKDF2; what was altered shows in the checksums within). Written beside and then put in place, so that
 * there is never half of one.
 */
final readonly class Archive
{
    /** What OpenSSL begins an encrypted file with. */
    private const SALTED = 'Salted__';

    private const CIPHER = 'openssl enc -aes-256-cbc -pbkdf2 -iter 600000 -pass env:USTREL_PASSPHRASE';

    public function __construct(private Filesystem $files)
    {
    }

    /** @throws BackupFailed where there is no room, or it cannot be written to */
    public function pack(string $folder, string $file, ?string $passphrase): void
    {
        $half = "{$file}.part";
        $how = $passphrase === null ? 'tar -cf "$TO" -C "$FROM" .' : 'tar -c -C "$FROM" . | '.self::CIPHER.' -salt -out "$TO"';
        if (! $this->run($how, ['FROM' => $folder, 'TO' => $half], $passphrase)) {
            $this->files->delete($half);
            throw BackupFailed::because('not_written', ['file' => $file]);
        }
        rename($half, $file);
        chmod($file, 0600);
    }

    /** @throws BackupFailed where it is cut, is none, or the passphrase is another */
    public function unpack(string $file, string $folder, ?string $passphrase): void
    {
        $isSealed = @file_get_contents($file, length: strlen(self::SALTED)) === self::SALTED;
        if ($isSealed && $passphrase === null) {
            throw BackupFailed::because('sealed', ['file' => $file]);
        }
        $how = $isSealed ? self::CIPHER.' -d -in "$FROM" | tar -x -C "$TO"' : 'tar -xf "$FROM" -C "$TO"';
        if (! $this->run($how, ['FROM' => $file, 'TO' => $folder], $passphrase)) {
            throw BackupFailed::because($isSealed ? 'wrong_passphrase' : 'cut', ['file' => $file]);
        }
    }

    /** @param  array<string, string>  $names */
    private function run(string $how, array $names, ?string $passphrase): bool
    {
        return Process::forever()->env($names + ['USTREL_PASSPHRASE' => (string) $passphrase])->run(['bash', '-o', 'pipefail', '-c', $how])->successful();
    }
}
