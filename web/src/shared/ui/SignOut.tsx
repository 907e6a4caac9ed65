import { useQueryClient } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import { ownWords } from '../../languages/own'
import { remove } from '../api/http'
import { Button } from './Button'

export function SignOut({ size = 'small' }: { size?: 'small' | 'large' }) {
  const cache = useQueryClient()
  const navigate = useNavigate()
  return (
    <Button
      size={size}
      onClick={async () => {
        await remove('/api/session')
        await navigate('/sign-in')
        cache.clear()
      }}
    >
      {ownWords().signOut}
    </Button>
  )
}
