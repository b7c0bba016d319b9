<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Kind;
use Symfony\Component\Filesystem\Filesystem;

final class Pdf
{
    /** One that opens with a password alone: encrypted by the standard handler (ISO 32000-1, 7.6.3) under keys that nobody has. */
    public static function locked(): string
    {
        $key = '<'.str_repeat('5a', 32).'>';

        return self::of(1, "/Encrypt << /Filter /Standard /V 1 /R 2 /O $key /U $key /P -4 >> /ID [$key $key] ");
    }

    /**
     * A PDF of so many pages, written by hand (ISO 32000-1, 7.5).
     *
     * @param string $further members of its trailer
     */
    public static function of(int $pages, string $further = ''): string
    {
        $kids = implode(' ', array_map(static fn (int $i): string => ($i + 3).' 0 R', range(0, $pages - 1)));
        $objects = ['<< /Type /Catalog /Pages 2 0 R >>', "<< /Type /Pages /Kids [$kids] /Count $pages /MediaBox [0 0 300 200] >>"];
        for ($i = 0; $i < $pages; ++$i) {
            $objects[] = '<< /Type /Page /Parent 2 0 R >>';
        }
        $pdf = "%PDF-1.4\n";
        $places = [];
        foreach ($objects as $i => $object) {
            $places[] = strlen($pdf);
            $pdf .= ($i + 1)." 0 obj\n$object\nendobj\n";
        }
        $start = strlen($pdf);
        $pdf .= 'xref'."\n0 ".(count($objects) + 1)."\n0000000000 65535 f \n";
        foreach ($places as $place) {
            $pdf .= sprintf("%010d 00000 n \n", $place);
        }

        return $pdf.'trailer << /Size '.(count($objects) + 1)." /Root 1 0 R $further>>\nstartxref\n$start\n%%EOF\n";
    }

    /**
     * The same as it is kept, for as long as somebody looks at it.
     *
     * @template T
     *
     * @param \Closure(Content): T $look
     *
     * @return T
     */
    public static function read(int $pages, \Closure $look): mixed
    {
        $folder = sys_get_temp_dir().'/chalk-pdf-'.bin2hex(random_bytes(6));
        $disk = new Filesystem();
        $disk->dumpFile("$folder/whole", self::of($pages));
        try {
            return $look(Content::read("$folder/whole", [Kind::Pdf], $folder));
        } finally {
            $disk->remove($folder);
        }
    }
}
