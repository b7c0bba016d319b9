<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Media\Api\View\FileView;
use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Media\ReadModel\FileList;
use ChalkLadder\Server\Media\ReadModel\Forgetting;
use ChalkLadder\Server\Media\Repository\FileRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Uid\Uuid;

/** What people have uploaded, drawn and recorded: described in the database, their bytes once per hash on the {@see Shelf}. */
final readonly class Files
{
    /** Where nginx finds the shelf; nobody can ask for it (ops/nginx.conf). */
    private const INTERNAL = '/internal/files/';

    /** pages of a PDF that a paper takes along */
    private const MOST_PRINTED = 12;

    public function __construct(
        private FileRepository $files,
        private FileList $list,
        private Forgetting $forgetting,
        private Shelf $shelf,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** A drawing of our own. */
    public function store(string $teamId, string $mediaType, string $name, string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'chalk');
        file_put_contents($path, $bytes);
        try {
            return $this->keep($teamId, null, $name, Content::ofOurOwn($path, $mediaType));
        } finally {
            unlink($path);
        }
    }

    /**
     * Keeps what has been looked at. What the team has already is not kept a second time; a student's file is their own,
     * though its bytes may lie there already.
     */
    public function keep(string $teamId, ?string $sittingId, string $name, Content $content): string
    {
        $hash = (string) hash_file('sha256', $content->path);

        return $this->transaction->run(function () use ($teamId, $sittingId, $name, $content, $hash): string {
            $this->list->lock($teamId, $hash);
            $known = $sittingId === null ? $this->list->holding($teamId, $hash) : null;
            if ($known !== null) {
                return $known;
            }
            $file = new MediaFile(
                $teamId,
                $sittingId,
                mb_substr($name, 0, 200),
                $hash,
                (int) filesize($content->path),
                $content,
                $this->clock->now(),
            );
            $this->shelf->keep($file->key(), $content->path);
            foreach ($content->pages as $i => $page) {
                $this->shelf->keep($file->pageKey($i + 1), $page);
            }
            $this->files->add($file);

            return $file->id();
        });
    }

    /**
     * @param list<string> $ids
     *
     * @return list<FileView> in the order asked for; those that are not there are left out
     */
    public function about(string $teamId, array $ids): array
    {
        $found = [];
        foreach ($this->files->all($teamId, array_values(array_filter($ids, Uuid::isValid(...)))) as $file) {
            $found[$file->id()] = FileView::of($file);
        }

        return array_values(array_filter(array_map(static fn (string $id): ?FileView => $found[$id] ?? null, $ids)));
    }

    public function view(string $teamId, string $id): FileView
    {
        return FileView::of($this->found($teamId, $id));
    }

    /** @param list<string> $ids each once */
    public function hasAll(string $teamId, array $ids): bool
    {
        if (array_filter($ids, Uuid::isValid(...)) !== $ids) {
            return false;
        }

        return $ids === [] || $this->files->hasAll($teamId, $ids);
    }

    /**
     * Whether these were all sent in a sitting.
     *
     * @param list<string> $ids
     */
    public function areOf(string $sittingId, array $ids): bool
    {
        $ids = array_values(array_unique($ids));

        return array_filter($ids, Uuid::isValid(...)) === $ids && $this->files->hasAllOfSitting($sittingId, $ids);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, string|null> by id, those that are there: the sitting it was sent in, null for the team's own
     */
    public function sittingsOf(string $teamId, array $ids): array
    {
        return array_map(
            static fn (MediaFile $f): ?string => $f->sittingId(),
            array_column(array_map(
                static fn (MediaFile $f): array => [$f->id(), $f],
                $this->files->all($teamId, array_values(array_filter($ids, Uuid::isValid(...)))),
            ), 1, 0),
        );
    }

    /**
     * A file inside a page that is printed.
     *
     * @return array<string, string> data of the picture by its id, or of a PDF's first pages by id/1, id/2 …; nothing of what is heard
     *                               or watched, and where the team has no such file
     */
    public function printed(string $teamId, string $id): array
    {
        $file = $this->files->find($teamId, $id);
        if ($file === null) {
            return [];
        }
        if ($file->kind() === Kind::Picture) {
            return [$id => 'data:'.$file->mediaType().';base64,'.base64_encode($this->shelf->bytes($file->key()))];
        }
        $pages = [];
        for ($page = 1; $page <= min($file->pages(), self::MOST_PRINTED); ++$page) {
            $pages[$id.'/'.$page] = 'data:image/png;base64,'.base64_encode($this->shelf->bytes($file->pageKey($page)));
        }

        return $pages;
    }

    /** Whether the asker may see it has been settled. */
    public function send(string $teamId, string $id): Response
    {
        $file = $this->found($teamId, $id);
        $name = trim($file->name()) === '' ? 'file' : trim($file->name());

        return $this->sent($file->key(), $file->mediaType(), HeaderUtils::makeDisposition(
            $file->kind()->isShown() ? HeaderUtils::DISPOSITION_INLINE : HeaderUtils::DISPOSITION_ATTACHMENT,
            strtr($name, '/\\', '--'),
            (string) preg_replace('/[^A-Za-z0-9._ -]/', '-', $name),
        ));
    }

    /** The picture of one page of a PDF. */
    public function page(string $teamId, string $id, int $page): Response
    {
        $file = $this->found($teamId, $id);

        return $page >= 1 && $page <= $file->pages()
            ? $this->sent($file->pageKey($page), 'image/png', HeaderUtils::DISPOSITION_INLINE)
            : throw Problem::notFound('The page');
    }

    /** nginx sends it, with ranges, so that films can be wound. */
    private function sent(string $key, string $mediaType, string $disposition): Response
    {
        return new Response('', 200, [
            'Content-Type' => $mediaType,
            'Content-Disposition' => $disposition,
            'Cache-Control' => 'private, max-age=86400, immutable',
            'X-Accel-Redirect' => self::INTERNAL.$key,
        ]);
    }

    /** @param list<string> $sittingIds */
    public function forgetSittings(array $sittingIds): void
    {
        $this->forgetting->forget($sittingIds);
    }

    private function found(string $teamId, string $id): MediaFile
    {
        return $this->files->find($teamId, $id) ?? throw Problem::notFound('The file');
    }
}
