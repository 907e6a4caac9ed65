import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { watchWords } from '../../languages/watch'
import { get } from '../../shared/api/http'
import type { Played } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Controls } from './parts/Controls'
import { Ribbon } from './parts/Ribbon'
import { Stage } from './parts/Stage'
import { Transcript } from './parts/Transcript'
import { segmentAt } from './transcript'
import { usePlayed } from './usePlayed'

/** A recording, watched: sound, board, captions and words on one time line (need I4). */
export default function PlayerScreen() {
  const { id = '' } = useParams()
  return <Page title={watchWords().watching}>{() => <Loaded key={id} id={id} />}</Page>
}

function Loaded({ id }: { id: string }) {
  const { data, error } = useQuery({
    queryKey: ['playback', id],
    queryFn: () => get<Played>(`/api/recordings/${encodeURIComponent(id)}/playback`),
    retry: false,
    // What is watched is worked out at this moment; it is not taken from before.
    gcTime: 0,
    staleTime: Infinity,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={watchWords().fetchingRecording} />
  return <Player id={id} played={data} />
}

function Player({ id, played }: { id: string; played: Played }) {
  const time = useSchoolTime()
  const say = watchWords()
  const [audio, setAudio] = useState<HTMLAudioElement | null>(null)
  const [nowMs, setNowMs] = useState(0)
  const [playing, setPlaying] = useState(false)
  const [rate, setRate] = useState(1)
  const [captions, setCaptions] = useState(true)
  const [failed, setFailed] = useState(false)
  const percent = usePlayed(id, audio)
  const to = (ms: number) => {
    if (!audio) return
    audio.currentTime = Math.max(0, Math.min(played.lengthMs - 1, ms)) / 1000
    setNowMs(audio.currentTime * 1000)
  }
  const toggle = () => {
    if (!audio) return
    if (audio.paused) audio.play().catch(() => setFailed(true))
    else audio.pause()
  }
  const segment = (step: 1 | -1) => {
    const at = segmentAt(played, nowMs, step)
    if (at !== undefined) to(at)
    else if (step < 0) to(0)
  }
  usePlayerKeys({ toggle, by: (ms) => to(nowMs + ms), segment, captions: () => setCaptions(!captions) })
  return (
    <Box px={{ base: '14px', md: '20px' }} py="14px" maxW="1240px" mx="auto">
      <Flex gap="14px" align="baseline" wrap="wrap" mb="8px">
        <chakra.h1 fontSize="23px">{played.title}</chakra.h1>
        <chakra.span color="ink2">
          {time.longDay(played.begun)}, {time.clock(played.begun)}
          {played.keptUntil && say.keptUntilDay(time.day(played.keptUntil))}
        </chakra.span>
        <Box flex="1" />
        {percent !== undefined && <chakra.span color="ink2">{say.haveWatched(percent)}</chakra.span>}
        <Link to={`/recordings/${id}`}>
          <u>{say.about}</u>
        </Link>
      </Flex>
      {failed && (
        <Box
          role="alert"
          bg="verdict.awaySoft"
          borderInlineStart="4px solid"
          borderColor="verdict.away"
          px="12px"
          py="6px"
          mb="8px"
        >
          {say.soundFails}
        </Box>
      )}
      <Ribbon played={played} nowMs={nowMs} onSeek={to} />
      <Controls
        played={played}
        nowMs={nowMs}
        playing={playing}
        rate={rate}
        captions={captions}
        onToggle={toggle}
        onBy={(ms) => to(nowMs + ms)}
        onSegment={segment}
        onRate={(next) => {
          setRate(next)
          if (audio) audio.playbackRate = next
        }}
        onCaptions={() => setCaptions(!captions)}
      />
      <audio
        ref={setAudio}
        src={`/api/recordings/${encodeURIComponent(id)}/sound`}
        preload="metadata"
        onTimeUpdate={(event) => setNowMs(event.currentTarget.currentTime * 1000)}
        onPlay={() => {
          setPlaying(true)
          setFailed(false)
        }}
        onPause={() => setPlaying(false)}
        onEnded={() => setPlaying(false)}
        onError={() => setFailed(true)}
      >
        <track kind="captions" src={`/api/recordings/${encodeURIComponent(id)}/captions.vtt`} label={say.captions} srcLang="en" />
      </audio>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1.35fr) minmax(320px, 1fr)' }} gap="22px" mt="12px" alignItems="start">
        <Stage played={played} nowMs={nowMs} captions={captions} />
        <Transcript played={played} nowMs={nowMs} onSeek={to} />
      </Grid>
    </Box>
  )
}

interface Keys {
  toggle: () => void
  by: (ms: number) => void
  segment: (step: 1 | -1) => void
  captions: () => void
}

/** Space plays and pauses, arrows go ten seconds, N and P to the next segment and the one before, C shows captions. */
function usePlayerKeys({ toggle, by, segment, captions }: Keys) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      const typing = target.closest('input, textarea, select, [role=dialog], [role=slider]')
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === ' ' && target.closest('button, a')) return
      const keys: Record<string, () => void> = {
        ' ': toggle,
        ArrowLeft: () => by(-10_000),
        ArrowRight: () => by(10_000),
        n: () => segment(1),
        p: () => segment(-1),
        c: captions,
      }
      const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (act) {
        event.preventDefault()
        act()
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  })
}
