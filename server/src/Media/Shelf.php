<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use League\Flysystem\FilesystemOperator;

/**
 * Where bytes lie: a folder outside of the web's root here, a store for many machines where there are many. Nobody else
 * touches it. Names are made of what we know (ids and hashes), never of what somebody typed.
 */
final readonly class Shelf
{
    public function __construct(private FilesystemOperator $files)
    {
    }

    public function keep(string $key, string $path): void
    {
        $stream = fopen($path, 'r');
        if ($stream === false) {
            throw new \RuntimeException("$path cannot be read.");
        }
        $this->files->writeStream($key, $stream);
        if (is_resource($stream)) {
            fclose($stream);
        }
    }

    public function write(string $key, string $bytes): void
    {
        $this->files->write($key, $bytes);
    }

    public function holds(string $key): bool
    {
        return $this->files->fileExists($key);
    }

    public function bytes(string $key): string
    {
        return $this->files->read($key);
    }

    public function drop(string $key): void
    {
        $this->files->delete($key);
    }

    public function dropAll(string $folder): void
    {
        $this->files->deleteDirectory($folder);
    }

    /** @return list<string> the keys in a folder */
    public function names(string $folder): array
    {
        $names = [];
        foreach ($this->files->listContents($folder) as $one) {
            $names[] = $one->path();
        }

        return $names;
    }

    /**
     * Lays pieces one behind the other.
     *
     * @param list<string> $keys
     */
    public function join(array $keys, string $path): void
    {
        $file = fopen($path, 'w');
        if ($file === false) {
            throw new \RuntimeException("$path cannot be written.");
        }
        foreach ($keys as $key) {
            stream_copy_to_stream($this->files->readStream($key), $file);
        }
        fclose($file);
    }
}
