<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Blank;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Jobs\MakeTake;
use Meandros\Server\Sound\G711;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Sound\Sounds;
use Meandros\Server\Sound\Uploads;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Sounds: bringing them in, and hearing them. */
final readonly class SoundController
{
    private const SHA256 = '[0-9a-f]{64}';
    private const UPLOAD = '[0-9a-f]{32}';

    public function __construct(
        private Plans $plans,
        private Draft $draft,
        private Sounds $sounds,
        private Uploads $uploads,
        private MachineVoice $machine,
        private Jobs $jobs,
    ) {}

    /** A file that comes in, under a name that whoever sends it made up: sent again, it takes its own place. */
    #[Route('/api/uploads/{id}', requirements: ['id' => self::UPLOAD], defaults: Served::UPLOAD, methods: ['PUT'])]
    public function upload(string $id, Request $request): JsonResponse
    {
        $size = $this->uploads->keep($id, $request->getContent(true));

        return new JsonResponse(['id' => $id, 'bytes' => $size], Response::HTTP_CREATED);
    }

    /**
     * Makes a take of a file that came in, in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/draft/prompts/{id}/takes', methods: ['POST'])]
    public function add(string $id, Request $request): JsonResponse
    {
        $prompt = $this->draft->plan()->get(Prompt::class, $id);
        if (null === $prompt) {
            throw new NotFound('There is no such prompt in the draft.');
        }
        $input = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['upload', 'name', 'language', 'part', 'words', 'voice', 'note', 'trim', 'use']);
            $upload = $in->field('upload')->exactText(32);
            if (null === $this->uploads->size($upload)) {
                $in->field('upload')->complain('upload-gone');
            }

            return [
                'upload' => $upload,
                'name' => $in->field('name')->optionalText(),
                'language' => Language::read($in->field('language')),
                'part' => $in->field('part')->whole(1, ScriptPart::MOST, 'part', 1),
                'words' => $in->field('words')->optionalText(Prompt::LONGEST_SCRIPT),
                'voice' => $in->field('voice')->optionalText(),
                'note' => $in->field('note')->optionalText(1000),
                'trim' => $in->field('trim')->flag(true),
                'use' => $in->field('use')->flag(true),
            ];
        });
        $job = $this->jobs->start(
            MakeTake::NAME,
            \sprintf('Make a take of %s', $prompt->name()),
            ['prompt' => $id] + $input,
        );

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /**
     * What callers hear of a prompt, in the language that a call with that language hears: its takes, or the machine voice.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/prompts/{id}/sound', methods: ['GET'])]
    public function heard(string $which, string $id, Request $request): Response
    {
        $prompt = $this->plans->get($which)->get(Prompt::class, $id);
        if (null === $prompt) {
            throw new NotFound('There is no such prompt in this plan.');
        }
        $language = $prompt->languageFor($request->query->getString('language', Language::DEFAULT));
        $filled = [];
        foreach (Blank::cases() as $blank) {
            $words = $request->query->get($blank->value);
            null === $words || ($filled[$blank->value] = (string) $words);
        }

        return new JsonResponse($this->machine->heard($prompt, $language, $filled)->toJson());
    }

    /**
     * Words that no prompt has, as the machine voice says them: what a queue tells whoever waits.
     *
     * @throws NotFound
     * @throws InvalidData
     */
    #[Route('/api/spoken', methods: ['GET'])]
    public function spoken(Request $request): Response
    {
        $words = $request->query->getString('words');
        if (mb_strlen($words) > MachineVoice::LONGEST) {
            throw InvalidData::at('/words', 'too-long', ['most' => MachineVoice::LONGEST]);
        }
        $prompt = new Prompt(new About('spoken', 'spoken'), [$request->query->getString('language') => $words]);

        return new JsonResponse($this->machine->heard($prompt, $request->query->getString('language'), [])->toJson());
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/sounds/{sha256}.wav', requirements: ['sha256' => self::SHA256], methods: ['GET'])]
    public function bytes(string $sha256, Request $request): Response
    {
        $size = $this->sounds->size($sha256) ?? throw new NotFound('There is no such sound.');
        $headers = [
            'Content-Type' => 'audio/wav',
            'Content-Disposition' => HeaderUtils::makeDisposition('inline', $sha256 . '.wav'),
            'Accept-Ranges' => 'bytes',
            'ETag' => '"' . $sha256 . '"',
        ];
        if ($request->headers->get('If-None-Match') === $headers['ETag']) {
            return new Response(null, Response::HTTP_NOT_MODIFIED, $headers);
        }
        $law = $request->query->getString('as');
        if ('' !== $law) {
            return new Response(G711::of($this->sounds->read($sha256), $law), 200, [
                'Content-Type' => 'audio/wav',
                'Content-Disposition' => HeaderUtils::makeDisposition(
                    'attachment',
                    \sprintf('%s.%s.wav', $sha256, $law),
                ),
            ]);
        }
        $range = ByteRange::of($request->headers->get('Range', ''), $size);
        if (null === $range) {
            return new Response($this->sounds->read($sha256), 200, $headers);
        }
        if ($range->count < 1) {
            return new Response(null, Response::HTTP_REQUESTED_RANGE_NOT_SATISFIABLE, [
                'Content-Range' => 'bytes */' . $size,
            ]);
        }

        return new Response($this->sounds->read($sha256, $range->from, $range->count), Response::HTTP_PARTIAL_CONTENT, [
            ...$headers,
            'Content-Range' => \sprintf('bytes %d-%d/%d', $range->from, $range->from + $range->count - 1, $size),
        ]);
    }
}
