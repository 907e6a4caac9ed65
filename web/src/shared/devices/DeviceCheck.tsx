import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { words } from '../../languages/language'
import { Button } from '../ui/Button'

type State = 'unasked' | 'asking' | 'on' | 'stand-in' | 'refused'

/**
 * Microphone level and camera picture of this device, shown to its owner only; nothing leaves the browser. Where there are
 * no devices a stand-in moves the meter, so that the page can be learnt.
 */
export function DeviceCheck() {
  const say = words()
  const [state, setState] = useState<State>('unasked')
  const [level, setLevel] = useState(0)
  const stream = useRef<MediaStream | null>(null)
  const picture = useRef<HTMLVideoElement>(null)
  const ask = async () => {
    setState('asking')
    const devices = navigator.mediaDevices as MediaDevices | undefined
    const found = devices ? await devices.enumerateDevices().catch(() => []) : []
    if (!devices || !found.some((device) => device.kind === 'audioinput')) {
      setState('stand-in')
      return
    }
    try {
      const video = found.some((device) => device.kind === 'videoinput')
      stream.current = await devices.getUserMedia({ audio: true, video })
      setState('on')
    } catch {
      setState('refused')
    }
  }
  useEffect(() => {
    if (state === 'on' && stream.current) return listen(stream.current, picture.current, setLevel)
    if (state === 'stand-in') return standIn(setLevel)
    return undefined
  }, [state])
  useEffect(() => () => stream.current?.getTracks().forEach((track) => track.stop()), [])
  return (
    <Box>
      {state === 'unasked' && <Button onClick={ask}>{say.checkDevices}</Button>}
      {state === 'asking' && <p role="status">{say.browserAsks}</p>}
      {state === 'refused' && <p role="status">{say.browserRefuses}</p>}
      {(state === 'on' || state === 'stand-in') && (
        <Box>
          <Flex align="center" gap="10px">
            <chakra.span fontSize="14px">{say.saySomething}</chakra.span>
            <chakra.meter min={0} max={1} value={level} aria-label={say.howLoud} flex="1" h="14px" />
          </Flex>
          {state === 'on' && <chakra.video ref={picture} muted playsInline w="160px" mt="6px" aria-label={say.yourCamera} />}
          {state === 'stand-in' && (
            <chakra.p fontSize="13px" color="ink2">
              {say.meterStandsIn}
            </chakra.p>
          )}
          <chakra.p fontSize="13px" color="ink2">
            {say.onlyYou}
          </chakra.p>
        </Box>
      )}
    </Box>
  )
}

function listen(stream: MediaStream, picture: HTMLVideoElement | null, tell: (level: number) => void) {
  if (picture && stream.getVideoTracks().length > 0) {
    picture.srcObject = stream
    void picture.play()
  }
  const context = new AudioContext()
  const meter = context.createAnalyser()
  context.createMediaStreamSource(stream).connect(meter)
  const samples = new Uint8Array(meter.fftSize)
  const timer = setInterval(() => {
    meter.getByteTimeDomainData(samples)
    const power = samples.reduce((sum, sample) => sum + (sample - 128) ** 2, 0) / samples.length
    tell(Math.min(1, Math.sqrt(power) / 40))
  }, 120)
  return () => {
    clearInterval(timer)
    void context.close()
  }
}

function standIn(tell: (level: number) => void) {
  let step = 0
  const timer = setInterval(() => tell(Math.abs(Math.sin(++step / 5)) * 0.7), 150)
  return () => clearInterval(timer)
}
